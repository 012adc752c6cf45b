import type { EditOf } from '../../build/edits';
import { addItemEdit } from '../../build/newItem';
import type { PlannedUnit } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import type { Proposal } from '../../snags/snag';
import {
  about,
  addControllers,
  adds,
  findsPlace,
  listed,
  lower,
  mountable,
  speaksTo,
  swaps,
  takeOut,
} from '../guesses';
import type { Base } from '../weigh';
import { addAll, addPart, releases, type Propose } from './shared';

/** For one or two drives nobody sets up another box. */
const FEW_DRIVES = 2;

/** Boxes of bays beside the machine, as many as the drives want, with a card that reaches it where none does. */
function shelves(base: Base, catalogue: Catalogue, missing: number): Proposal[] {
  const boxes = listed(catalogue, 'chassis')
    .filter((part) => part.boardHoles.length === 0 && part.bayGroups.length > 0)
    .slice(0, 4);
  const cards = addControllers(base, catalogue, (part) => part.connectors.some(({ side }) => side === 'outside')).slice(
    0,
    2,
  );
  return boxes.flatMap((part) => {
    const alone = addPart(
      base,
      catalogue,
      part,
      Math.min(4, Math.ceil(missing / part.bayGroups.reduce((sum, one) => sum + one.rows * one.columns, 0))),
    );
    return [
      alone,
      ...cards.map((card): Proposal => {
        const first = alone.edits[0] as EditOf<'item.add'>;
        const next = {
          next: base.build.counter.next + 1 + first.item.units.length,
          letter: base.build.counter.letter + 1,
        };
        const then = card.edits.map((edit) =>
          edit.type === 'item.add'
            ? addItemEdit({ ...base.build, counter: next }, catalogue, edit.item.sheet, edit.item.units.length)
            : edit,
        );
        return { edits: [first, ...then], words: `${alone.words}, and ${lower(card.words)}`, madeOf: [alone.words] };
      }),
    ];
  });
}

/** So many kinds of cage, each with so many kinds of card, are weighed together. */
const [CAGES, CARDS] = [4, 2];

/** Cages with bays for all that have none, each with a card that gives their drives ports. */
function withPorts(
  base: Base,
  catalogue: Catalogue,
  cages: readonly PartOf<'adapter'>[],
  drives: readonly PlannedUnit[],
): Proposal[] {
  const missing = drives.length;
  const sizes = sizesOf(drives);
  const cards = addControllers(base, catalogue, speaksTo(drives)).flatMap(({ edits }) =>
    edits.flatMap((edit) => (edit.type === 'item.add' ? [edit.item.sheet] : [])),
  );
  const parts = listed(catalogue, 'controller')
    .filter(({ id }) => cards.includes(id))
    .slice(0, CARDS);
  return cages
    .filter((part) => baysFor(part, sizes) >= missing)
    .slice(0, CAGES)
    .flatMap((cage) =>
      parts.map((card): Proposal => ({
        edits: addAll(base, catalogue, [
          { part: cage, count: 1 },
          { part: card, count: 1 },
        ]),
        words: `Add ${cage.name}, and ${card.name}`,
        madeOf: [`Add ${cage.name}`],
      })),
    );
}

/** So many cheap holders are bought before one dear cage is. */
const MOST_HOLDERS = 4;

/** Holders and cages, as many of a kind as the drives without a bay want. */
function holders(
  base: Base,
  catalogue: Catalogue,
  mounted: readonly PartOf<'adapter'>[],
  drives: readonly PlannedUnit[],
): Proposal[] {
  const sizes = sizesOf(drives);
  return adds(base, catalogue, mounted, (part) => {
    const bays = part.kind === 'adapter' ? baysFor(part, sizes) : 0;
    return bays === 0 ? 1 : Math.min(MOST_HOLDERS, Math.ceil(drives.length / bays));
  });
}
const sizesOf = (drives: readonly PlannedUnit[]): ReadonlySet<PartOf<'drive'>['size']> =>
  new Set(drives.flatMap(({ part }) => (part.kind === 'drive' ? [part.size] : [])));
const baysFor = (part: PartOf<'adapter'>, sizes: ReadonlySet<PartOf<'drive'>['size']>): number =>
  part.bayGroups
    .filter(({ takes }) => takes.some((size) => [...sizes].some((wanted) => wanted === size)))
    .reduce((sum, one) => sum + one.rows * one.columns, 0);

/** Cards with sockets for modules that have none. */
function carriers(base: Base, catalogue: Catalogue, drives: readonly PlannedUnit[]): Proposal[] {
  const modules = drives.filter(({ part }) => part.kind === 'drive' && part.size === 'm2').length;
  const cards = listed(catalogue, 'carrier').filter((part) => findsPlace(base, part));
  return modules === 0
    ? []
    : adds(base, catalogue, cards, (part) =>
        part.kind === 'carrier' ? Math.min(MOST_HOLDERS, Math.ceil(modules / part.m2Sockets.length)) : 1,
      );
}

/** A module for the system that finds no socket, as a small drive of flash in a bay. */
const otherBoot = (base: Base, catalogue: Catalogue, drives: readonly PlannedUnit[]): Proposal[] =>
  drives
    .filter(({ part, role, item }) => part.kind === 'drive' && part.size === 'm2' && role === 'boot' && isOne(item))
    .flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'drive',
        (part) =>
          part.size !== 'm2' &&
          part.rpm === null &&
          part.capacityBytes >= LEAST_FOR_A_SYSTEM &&
          part.capacityBytes <= MOST_FOR_A_SYSTEM,
      ),
    );
const isOne = (item: PlannedUnit['item']): boolean => item?.units.length === 1;
const [LEAST_FOR_A_SYSTEM, MOST_FOR_A_SYSTEM] = [1e11, 5e11];

export const driveInBay: Propose = (base, snag, catalogue) => {
  const drives = about(base, snag);
  const mounted = listed(catalogue, 'adapter').filter((part) => mountable(base, part));
  return [
    ...releases(base),
    ...holders(base, catalogue, mounted, drives),
    ...carriers(base, catalogue, drives),
    ...otherBoot(base, catalogue, drives),
    ...withPorts(base, catalogue, mounted, drives),
    ...(drives.length > FEW_DRIVES ? shelves(base, catalogue, drives.length) : []),
    ...takeOut(drives),
  ];
};
