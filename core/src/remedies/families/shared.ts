import type { Edit } from '../../build/edits';
import { addItemEdit } from '../../build/newItem';
import { isCard, plannedUnits } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { Part, PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import type { SnagCode } from '../../snags/words';
import { conflictOf } from '../../solve/conflict';
import { about, fastestGb, lanes, listed, otherSlots, swaps } from '../guesses';
import type { Base } from '../weigh';

/** Guesses at what could cure a snag of one code, or of any; the weighing decides. */
export type Propose<C extends SnagCode = SnagCode> = (base: Base, snag: Snag<C>, catalogue: Catalogue) => Proposal[];
/** The guesses of a family, by code. */
export type Proposes = { readonly [C in SnagCode]?: Propose<C> };

/** Holds that are in the way of a whole layout, given back to the wiring. */
export const releases = ({ build }: Base): Proposal[] => {
  // Most builds hold nothing, and then nothing need be asked.
  if (!Object.values(build.layout.at).some(({ how }) => how === 'held')) return [];
  const units = plannedUnits(build);
  const held = (conflictOf(units, build.layout) ?? [])
    .filter(({ kind }) => kind === 'held')
    .flatMap((fact) => fact.units);
  return units
    .filter((unit) => held.includes(unit.id))
    .map((unit) => ({
      edits: [{ type: 'place.release', unit: unit.id }],
      words: `Let ${unit.part.name} (${unit.mark}) move: it is held in its place`,
    }));
};

export const supply =
  (goes: (base: Base, part: PartOf<'supply'>, now: PartOf<'supply'>, snag: Snag) => boolean): Propose =>
  (base, snag, catalogue) =>
    about(base, snag).flatMap((unit) => {
      const { part } = unit;
      return part.kind === 'supply'
        ? swaps(base, catalogue, unit, 'supply', (other) => goes(base, other, part, snag))
        : [];
    });

export const addPart = (base: Base, catalogue: Catalogue, part: Part, count = 1): Proposal => ({
  edits: [addItemEdit(base.build, catalogue, part.id, count)],
  words: `Add ${count > 1 ? `${count} × ` : ''}${part.name}`,
});

export const none: Propose = () => [];

/** Parts added together, each an item of its own with ids that follow on. */
export function addAll(
  base: Base,
  catalogue: Catalogue,
  parts: readonly { readonly part: Part; readonly count: number }[],
): Edit[] {
  let { counter } = base.build;
  return parts.map(({ part, count }) => {
    const edit = addItemEdit({ ...base.build, counter }, catalogue, part.id, count);
    counter = { next: counter.next + 1 + count, letter: counter.letter + 1 };
    return edit;
  });
}

export const sundry = (catalogue: Catalogue, use: PartOf<'sundry'>['use']) =>
  listed(catalogue, 'sundry').find((part) => part.use === use);

export const addSundry =
  (use: PartOf<'sundry'>['use'], wanted = 1): Propose =>
  (base, _snag, catalogue) => {
    const part = sundry(catalogue, use);
    const count = part && Math.ceil(wanted / part.packOf);
    return part && count
      ? [
          {
            edits: addAll(base, catalogue, [{ part, count }]),
            words: `Add ${count > 1 ? `${count} × ` : ''}${part.name}`,
          },
        ]
      : [];
  };

/** Cards of the same kind that a test likes, in place of the one a snag is about. */
export const otherCards = (
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  goes: (part: Part, now: Part) => boolean,
): Proposal[] =>
  about(base, snag).flatMap((unit) =>
    isCard(unit.part)
      ? swaps(
          base,
          catalogue,
          unit,
          unit.part.kind,
          (part) =>
            goes(part, unit.part) &&
            (part.kind !== 'controller' || lanes(part) >= lanes(unit.part as PartOf<'controller'>)) &&
            (part.kind !== 'networkCard' || fastestGb(part) >= fastestGb(unit.part as PartOf<'networkCard'>)),
        )
      : [],
  );

export const moveCards: Propose = (base, snag) =>
  about(base, snag)
    .filter((unit) => isCard(unit.part))
    .flatMap((unit) => otherSlots(base, unit));

/** Modules that may stand beside or instead of one, of whatever size. */
export const sameModule = (now: PartOf<'memory'>) => (part: PartOf<'memory'>) =>
  part.form === now.form && part.type === now.type && part.registered === now.registered && part.ecc === now.ecc;
