import type { Assessor, AssessOptions } from '../assess';
import type { Edit } from '../build/edits';
import { printSpot, type SpotRef } from '../build/layout';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import { commit } from '../solve/settle';
import { conflictOf, factWords } from '../solve/conflict';
import { mismatch } from '../machine/accepts';
import { groupAt } from '../machine/spotAt';
import { spotsOf } from '../machine/spots';
import { unitsById, type PlannedUnit } from '../machine/units';
import { resolve, type Part } from '../parts/resolve';
import type { SheetId } from '../parts/ids';
import type { Proposal } from '../snags/snag';
import { listed, MOST_OF_A_KIND, swaps } from './guesses';
import { proposalsFor } from './proposals';
import { weigh, type Base, type Weighed } from './weigh';

/**
 * What would let a part in that does not go: edits that bring it with them, smallest change first, and what it
 * conflicts with where the solver has an answer.
 */
export type WhyNot = {
  readonly ways: readonly (Weighed & { readonly title: string })[];
  readonly conflict: readonly string[];
};
const MOST_WAYS = 3;

/**
 * The part is laid on the table and what becomes of it is looked at: it may find a place elsewhere;
 * else each proposal for the blockers it brings is weighed with it, and hosts that would take it.
 * A way counts when the part has a place and there are no more blockers than without it.
 */
export function whyNot(
  base: Base,
  spot: SpotRef,
  sheet: SheetId,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): WhyNot {
  const add = addItemEdit(base.build, catalogue, sheet, 1);
  const id = add.item.units[0].id as string;
  const laid = commit(base.build, [add]);
  if (!laid.ok) return { ways: [], conflict: [] };
  const assessment = assessor.assess(laid.build, options);
  const with_: Base = { ...base, build: laid.build, assessment };
  const part = resolve(catalogue.sheets[sheet]!, catalogue.archetypes[catalogue.sheets[sheet]!.archetype]!);
  const before = base.assessment.snags.filter(({ severity }) => severity === 'blocker').length;
  const now = assessment.layout.at[id];
  const ways: (Weighed & { title: string })[] = [];
  const tryWay = (edits: readonly Edit[], title: string) => {
    const done = commit(base.build, edits);
    if (!done.ok || !done.build.layout.at[id]) return;
    const weighed = weigh(base, edits, assessor, options);
    if (weighed.ok && weighed.blockersAfter <= before) ways.push({ ...weighed, title });
  };
  if (now) tryWay([add], `It goes elsewhere: ${placeWords(assessment.units, now.spot)}`);
  const fresh = assessment.snags.filter(
    ({ severity, key }) => severity === 'blocker' && !base.assessment.snags.some((one) => one.key === key),
  );
  const proposals: Proposal[] = [
    ...fresh.flatMap((snag) => proposalsFor(with_, snag, catalogue)),
    ...hostsFor(with_, spot, part, catalogue),
  ].filter(({ edits }) => edits.every((edit) => !touches(edit, id, add.item.id)));
  for (const proposal of proposals.slice(0, 3 * MOST_OF_A_KIND)) {
    if (ways.length >= 2 * MOST_WAYS) break;
    tryWay([add, ...proposal.edits], proposal.words);
  }
  const conflict =
    assessment.unplaced.some((unit) => unit.id === id) || assessment.unconnected.some((unit) => unit.id === id)
      ? (conflictOf(assessment.units, assessment.layout) ?? []).map(factWords)
      : [];
  return {
    ways: ways
      .sort(
        (a, b) =>
          sizeOf(a.edits) - sizeOf(b.edits) ||
          a.blockersAfter - b.blockersAfter ||
          (a.delta['cost.now'] ?? 0) - (b.delta['cost.now'] ?? 0),
      )
      .slice(0, MOST_WAYS),
    conflict,
  };
}

/** How large a change is: nothing moved or an option least, a part more next, a part given up or changed most. */
const sizeOf = (edits: readonly Edit[]): number =>
  edits.reduce(
    (sum, edit) =>
      sum +
      (edit.type === 'item.replace' || edit.type === 'units.remove' || edit.type === 'item.remove'
        ? 3
        : edit.type === 'item.add'
          ? 1
          : 0.5),
    0,
  );

/** A way that takes the wanted part out again, or another instead of it, is none. */
const touches = (edit: Edit, unit: string, item: string): boolean =>
  (edit.type === 'units.remove' && edit.units.some((one) => one === unit)) ||
  (edit.type === 'item.remove' && edit.item === item) ||
  (edit.type === 'item.replace' && edit.item === item);

/** The host of the place, changed by an option or taken from another sheet, where it would take the part. */
function hostsFor(base: Base, spot: SpotRef, part: Part, catalogue: Catalogue): Proposal[] {
  const host = unitsById(base.assessment.units).get(spot.host);
  const group = host && groupAt(unitsById(base.assessment.units), spot);
  if (!host || !group || host.builtIn) return [];
  const takes = (other: Part) => spotsOf('there', other).some((one) => one.type === group.type && !mismatch(part, one));
  const adapters = listed(catalogue, 'adapter')
    .filter((one) => group.type === 'bay' && !mismatch(one, group) && takes(one))
    .slice(0, MOST_OF_A_KIND)
    .map((one): Proposal => ({
      edits: [addItemEdit({ ...base.build }, catalogue, one.id, 1)],
      words: `Add ${one.name}`,
    }));
  return [...adapters, ...swaps(base, catalogue, host, host.part.kind, (other) => takes(other as Part))];
}

function placeWords(units: readonly PlannedUnit[], spot: SpotRef): string {
  const host = unitsById(units).get(spot.host);
  const group = groupAt(unitsById(units), spot);
  return group
    ? `${group.label.toLowerCase()}${spot.n ? ` ${spot.n}` : ''} of ${host?.part.name ?? ''}`
    : printSpot(spot);
}
