import { memberAt } from '../lists';
import type { Edit } from '../build/edits';
import { printSpot } from '../build/layout';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import { freeBays } from '../figures/room';
import { resolve, type Part, type PartOf } from '../parts/resolve';
import { sustainedW } from '../parts/sustained';
import type { PartKind } from '../parts/vocabulary';
import { mismatch } from '../machine/accepts';
import { protocolOf } from '../links/ports';
import { spotsOf } from '../machine/spots';
import { ofKind, type PlannedUnit } from '../machine/units';
import { givenUp } from '../snags/fits/takenOut';
import type { Proposal, Snag } from '../snags/snag';
import { replaceEdit } from './tryAt';
import type { Base } from './weigh';

/** Weighing costs an assessment each: the cheapest so many of a kind are weighed. */
export const MOST_OF_A_KIND = 10;

export const about = (base: Base, snag: Snag): PlannedUnit[] => {
  const ids = new Set(snag.at.flatMap((place) => ('unit' in place ? [place.unit] : [])));
  return base.assessment.units.filter((unit) => ids.has(unit.id));
};
export const causes = (base: Base, snag: Snag): PlannedUnit[] => {
  const ids = new Set(snag.because?.flatMap((place) => ('unit' in place ? [place.unit] : [])) ?? []);
  return base.assessment.units.filter((unit) => ids.has(unit.id));
};

export function listed<K extends PartKind>(catalogue: Catalogue, kind: K): PartOf<K>[] {
  return Object.values(catalogue.sheets)
    .filter((sheet) => sheet.kind === kind)
    .map((sheet) => resolve(sheet, catalogue.archetypes[sheet.archetype]!) as PartOf<K>)
    .sort((a, b) => (a.price?.minor ?? 0) - (b.price?.minor ?? 0));
}

/** Swap the item a unit belongs to for other sheets of its kind that pass a test. */
export function swaps<K extends PartKind>(
  base: Base,
  catalogue: Catalogue,
  unit: PlannedUnit,
  kind: K,
  goes: (part: PartOf<K>) => boolean,
): Proposal[] {
  const going = listed(catalogue, kind).filter(
    (part) => part.id !== unit.part.id && goes(part) && keepsCool(base, part, unit.part),
  );
  return onePerSeries(going)
    .slice(0, MOST_OF_A_KIND)
    .flatMap((part) => {
      const edit = replaceEdit(base.build, catalogue, unit.id, part.id);
      if (!edit) return [];
      const loss = givesUp(part, unit.part);
      const words = `Take ${part.name} instead of ${unit.part.name}`;
      return [{ edits: [edit], words: loss ? `${loss}: ${lower(words)}` : words }];
    });
}

/** A cooler is not changed for one that carries less than the processors draw, nor one with a fan for one without. */
const keepsCool = (base: Base, part: Part, now: Part): boolean =>
  part.kind !== 'cooler' ||
  now.kind !== 'cooler' ||
  ((now.passive || !part.passive) &&
    ofKind(base.assessment.units, 'processor').every((unit) => sustainedW(unit.part).value <= part.carriesW));

/** How a remedy begins that loses more than money: what it gives up is said first. */
export const GIVES_UP = 'Give up';

/** What an exchange gives up, to be said first; null for nothing that is known. */
function givesUp(part: Part, now: Part): string | null {
  if (part.kind === 'supply' && now.kind === 'supply' && part.modules < now.modules)
    return `${GIVES_UP} the spare supply module`;
  if (part.kind !== 'networkCard' || now.kind !== 'networkCard') return null;
  const fewer = portsOf(now) - portsOf(part);
  return fewer > 0 ? `${GIVES_UP} ${plural(fewer, 'network port')}` : null;
}
const portsOf = ({ networkPorts }: PartOf<'networkCard'>): number =>
  networkPorts.reduce((sum, { count }) => sum + count, 0);
/** Speed of the fastest network port, Gb/s; 0 without any. */
export const fastestGb = ({ networkPorts }: Pick<PartOf<'board'>, 'networkPorts'>): number =>
  Math.max(0, ...networkPorts.map(({ gbPerS }) => gbPerS));

/** Drives and modules of one series differ in capacity only: the first that does stands for the others. */
const onePerSeries = <P extends Part>(parts: readonly P[]): P[] => {
  const seen = new Set<string>();
  return parts.filter(
    (part) =>
      (part.kind !== 'drive' && part.kind !== 'memory') ||
      part.family === undefined ||
      (!seen.has(part.family) && seen.add(part.family)),
  );
};

/** Chassis options that would take a culprit away or give more room. */
export function options(base: Base, snag: Snag, what: 'card' | 'cooler' | 'supply' | 'board'): Proposal[] {
  return ofKind(base.assessment.units, 'chassis').flatMap((unit) =>
    unit.part.options
      .filter(
        (option) =>
          !base.build.changes.some(
            (change) => change.kind === 'option' && change.host === unit.id && change.key === option.key,
          ),
      )
      // A row of fans that bays draw their air from stays, whatever it stands in the way of.
      .filter(
        (option) =>
          unit.part.bayGroups.length === 0 ||
          !option.effects.some(
            (effect) => effect.do === 'remove' && unit.part.fanMounts.some(({ key }) => key === effect.key),
          ),
      )
      .filter((option) =>
        option.effects.some(
          (effect) =>
            (effect.do === 'remove' && 'culprit' in snag.facts && effect.key === snag.facts.culprit) ||
            (effect.do === 'clearance' && effect.clearance.for === what),
        ),
      )
      .map((option): Proposal => ({
        edits: [
          {
            type: 'change.add',
            change: { id: `${unit.id}:${option.key}`, kind: 'option', host: unit.id, key: option.key },
          },
        ],
        words: lossOf(unit.part, option),
      })),
  );
}

/** An option of a chassis, with the bays and places for fans it costs said first. */
function lossOf(part: PartOf<'chassis'>, { label, effects }: PartOf<'chassis'>['options'][number]): string {
  const { bays, fans } = givenUp(part, effects);
  const lost = [bays ? plural(bays, 'bay') : '', fans ? plural(fans, 'place for fans', 'places for fans') : ''];
  return bays + fans > 0 ? `${GIVES_UP} ${lost.filter(Boolean).join(' and ')}: ${lower(label)}` : label;
}
const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

export const takeOut = (units: readonly PlannedUnit[]): Proposal[] =>
  units.length
    ? [{ edits: [{ type: 'units.remove', units: units.map((unit) => unit.id) }], words: `Take out ${nameAll(units)}` }]
    : [];
export const nameAll = (units: readonly PlannedUnit[]) =>
  units.length === 1
    ? `${memberAt(units, 0).part.name} (${memberAt(units, 0).mark})`
    : `${units.length} ` +
      `${units.every(({ part }) => part.kind === 'drive') ? 'drives' : 'parts'} ` +
      `(${units.map((unit) => unit.mark).join(', ')})`;

/** Cards with a port that each of some drives speaks to. */
export const speaksTo =
  (drives: readonly PlannedUnit[]) =>
  ({ connectors }: PartOf<'controller'>): boolean =>
    drives.every(
      ({ part }) => part.kind !== 'drive' || connectors.some(({ carries }) => carries.includes(protocolOf(part))),
    );

export function addControllers(
  base: Base,
  catalogue: Catalogue,
  likes: (part: PartOf<'controller'>) => boolean = () => true,
): Proposal[] {
  const { units, layout } = base.assessment;
  const taken = new Set(Object.values(layout.at).map((seat) => printSpot(seat.spot)));
  const free = units
    .filter((unit) => layout.at[unit.id])
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .filter((spot) => (spot.type === 'slot' || spot.type === 'm2') && !taken.has(`${spot.host}/${spot.key}`));
  return adds(
    base,
    catalogue,
    listed(catalogue, 'controller').filter((part) => likes(part) && free.some((spot) => !mismatch(part, spot))),
  );
}

/**
 * Each of some parts added: from stock where it is there, as what is owned and costs nothing, else bought, as many as
 * are wanted.
 */
export function adds<P extends Part>(
  base: Base,
  catalogue: Catalogue,
  parts: readonly P[],
  wanted: (part: P) => number = () => 1,
): Proposal[] {
  const mine = parts.filter((part) => base.owned?.[part.id]);
  const others = parts.filter((part) => !mine.includes(part)).slice(0, MOST_OF_A_KIND);
  return [...mine, ...others].map((part) => {
    const owned = base.owned?.[part.id];
    const count = owned ? 1 : wanted(part);
    const add = addItemEdit(base.build, catalogue, part.id, count, owned ? { deal: 'owned' } : {});
    return {
      edits: [owned ? { ...add, item: { ...add.item, ...owned } } : add],
      words: owned ? `From stock: ${part.name}` : `Add ${count > 1 ? `${count} × ` : ''}${part.name}`,
    };
  });
}

/** Inside lanes for SATA or SAS drives; those for NVMe alone serve none of them. */
export const lanes = (part: PartOf<'controller'>) =>
  part.connectors
    .filter(({ side, carries }) => side === 'inside' && carries.some((way) => way === 'sata' || way === 'sas'))
    .reduce((sum, one) => sum + one.count * one.lanes, 0);
export const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

export function otherSlots(base: Base, unit: PlannedUnit): Proposal[] {
  const now = base.assessment.layout.at[unit.id]?.spot;
  const board = base.assessment.units.find((one) => one.id === now?.host);
  const taken = new Set(Object.values(base.assessment.layout.at).map((seat) => printSpot(seat.spot)));
  return board
    ? spotsOf(board.id, board.part)
        .filter(
          (spot) =>
            spot.type === 'slot' &&
            spot.key !== now!.key &&
            !taken.has(`${spot.host}/${spot.key}`) &&
            !mismatch(unit.part, spot),
        )
        .map((spot) => ({
          edits: [{ type: 'place.put', unit: unit.id, spot: { host: spot.host, key: spot.key } }],
          words: `Move ${unit.part.name} to ${spot.label}`,
        }))
    : [];
}

export function moveToFreeBays(base: Base, units: readonly PlannedUnit[]): Proposal[] {
  const { units: all, layout } = base.assessment;
  const from = new Set(units.map((unit) => layout.at[unit.id]?.spot.key));
  const free = freeBays(all, layout).filter(
    ({ group }) => !from.has(group.key) && units.every((unit) => !mismatch(unit.part, group)),
  );
  if (units.length === 0 || free.length < units.length) return [];
  const edits = units.map((unit, i): Edit => {
    const { name, group } = memberAt(free, i);
    const n = Number(/\.(\d+)$/.exec(name)?.[1]);
    return { type: 'place.put', unit: unit.id, spot: { host: group.host, key: group.key, ...(n ? { n } : {}) } };
  });
  return [{ edits, words: `Move ${nameAll(units)} to ${memberAt(free, 0).group.label.toLowerCase()}` }];
}

/** Whether any place of the machine takes a part, sockets of its board and cards among them. */
export const findsPlace = (base: Base, part: Part) =>
  base.assessment.units.some((unit) => spotsOf(unit.id, unit.part).some((spot) => !mismatch(part, spot)));

export const mountable = (base: Base, part: Part) =>
  base.assessment.units.some(
    (unit) =>
      unit.part.kind === 'chassis' &&
      spotsOf(unit.id, unit.part).some((spot) => spot.type !== 'connector' && !mismatch(part, spot)),
  );
