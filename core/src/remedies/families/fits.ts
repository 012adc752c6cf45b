import { addItemEdit } from '../../build/newItem';
import { cardReachMm, isCard, ofKind, type PlannedUnit } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { Part, PartOf } from '../../parts/resolve';
import { isForOutside } from '../../snags/cards';
import type { Proposal, Snag } from '../../snags/snag';
import {
  about,
  adds,
  lanes,
  listed,
  MOST_OF_A_KIND,
  mountable,
  moveToFreeBays,
  options,
  otherSlots,
  swaps,
  takeOut,
} from '../guesses';
import { driveInBay } from './noBay';
import { cardSlot } from './noSlot';
import { replaceEdit } from '../tryAt';
import type { Base } from '../weigh';
import { supply, none, addSundry, otherCards, moveCards, type Propose, type Proposes } from './shared';

const cardLength: Propose = (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const { part } = unit;
    if (!isCard(part)) return [];
    const limit = snag.gap?.limit ?? 0;
    const together = part.kind === 'controller' ? severalShorter(base, catalogue, unit, part, limit) : [];
    const shorter =
      part.kind === 'controller'
        ? swaps(
            base,
            catalogue,
            unit,
            'controller',
            (other) => cardReachMm(other) <= limit && lanes(other) >= lanes(part),
          )
        : swaps(
            base,
            catalogue,
            unit,
            part.kind,
            (other) => isCard(other) && cardReachMm(other) <= limit && doesAsMuch(other, part),
          );
    const others = [...options(base, snag, 'card'), ...otherSlots(base, unit), ...shorter, ...together];
    return [...others, ...chassisAround(base, catalogue, others)];
  });

/**
 * Other chassis for the same board that stand in the same way, where nothing less helps; whether they take the rest is
 * weighed.
 */
function chassisAround(base: Base, catalogue: Catalogue, less: readonly Proposal[]): Proposal[] {
  const chassis = ofKind(base.assessment.units, 'chassis').find(({ part }) => part.boardHoles.length > 0);
  const boards = ofKind(base.assessment.units, 'board').map(({ part }) => part.holes);
  return chassis
    ? swaps(
        base,
        catalogue,
        chassis,
        'chassis',
        (part) =>
          (part.rackUnits === null) === (chassis.part.rackUnits === null) &&
          boards.every((holes) => part.boardHoles.includes(holes)),
      ).map((one) => ({ ...one, madeOf: less.map(({ words }) => words) }))
    : [];
}

/** A small graphics card is no accelerator: what draws far less does far less. Ports for NVMe alone are no others. */
export function doesAsMuch(other: Part, now: Part): boolean {
  if (other.kind === 'accelerator' && now.kind === 'accelerator') return other.peakW >= now.peakW * 0.4;
  return other.kind !== 'controller' || now.kind !== 'controller' || lanes(other) > 0 || lanes(now) === 0;
}

/** Two or three shorter controllers of one sheet that have as many ports together. */
function severalShorter(
  base: Base,
  catalogue: Catalogue,
  unit: PlannedUnit,
  now: PartOf<'controller'>,
  limitMm: number,
): Proposal[] {
  return listed(catalogue, 'controller')
    .filter(
      (part) => cardReachMm(part) <= limitMm && lanes(part) < lanes(now) && lanes(part) * MOST_TOGETHER >= lanes(now),
    )
    .slice(0, MOST_OF_A_KIND)
    .flatMap((part) => {
      const count = Math.ceil(lanes(now) / lanes(part));
      const replace = replaceEdit(base.build, catalogue, unit.id, part.id);
      return replace
        ? [
            {
              edits: [replace, addItemEdit(base.build, catalogue, part.id, count - 1)],
              words: `Take ${count} × ${part.name} instead of ${now.name}`,
            },
          ]
        : [];
    });
}

const MOST_TOGETHER = 3;

const coolerHeight: Propose<'fits.coolerHeight'> = (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const under = Object.entries(base.assessment.layout.at)
      .filter(([, seat]) => seat.spot.host === snag.facts.host && seat.spot.key === snag.facts.culprit)
      .map(([id]) => id);
    const above = base.assessment.units.filter((one) => under.includes(one.id));
    const { part } = unit;
    if (part.kind !== 'cooler') return [];
    const lowerOnes = swaps(
      base,
      catalogue,
      unit,
      'cooler',
      (other) =>
        other.heightMm <= (snag.gap?.limit ?? 0) && other.sockets.some((socket) => part.sockets.includes(socket)),
    );
    return [...options(base, snag, 'cooler'), ...lowerOnes, ...moveToFreeBays(base, above), ...takeOut(above)];
  });

/** A riser in the card's slot and the card on it. */
const onRisers = (base: Base, snag: Snag, catalogue: Catalogue): Proposal[] =>
  about(base, snag).flatMap((unit) => {
    const spot = base.assessment.layout.at[unit.id]?.spot;
    return !spot
      ? []
      : listed(catalogue, 'riser').flatMap((part): Proposal[] => {
          const add = addItemEdit(base.build, catalogue, part.id, 1, { spots: [spot] });
          return [
            {
              edits: [
                add,
                { type: 'place.put', unit: unit.id, spot: { host: add.item.units[0].id, key: part.slots[0].key } },
              ],
              words: `Add ${part.name} and lay ${unit.part.name} on it`,
            },
          ];
        });
  });

/** A card without its bracket goes behind a wall that has no opening for it. */
const bracketsOff = (base: Base, snag: Snag): Proposal[] =>
  about(base, snag)
    .filter((unit) => isCard(unit.part) && !isForOutside(unit.part))
    .map((unit) => ({
      edits: [
        {
          type: 'change.add',
          change: {
            id: `${unit.id}:bracketOff`,
            kind: 'mod',
            host: unit.id,
            title: `Bracket off ${unit.part.name}`,
            effects: [{ do: 'bracketOff' }],
          },
        },
      ],
      words: `Leave the bracket off ${unit.part.name}`,
    }));

const otherChassis = (
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  goes: (part: PartOf<'chassis'>) => boolean,
): Proposal[] => {
  const holes = ofKind(base.assessment.units, 'board').map(({ part }) => part.holes);
  return about(base, snag).flatMap((unit) =>
    swaps(
      base,
      catalogue,
      unit,
      'chassis',
      (part) => part.rackUnits !== null && holes.every((one) => part.boardHoles.includes(one)) && goes(part),
    ),
  );
};

/** Guesses for the snags of this family. */
export const FITS = {
  'fits.cardCovers': (base, snag, catalogue) =>
    snag.severity === 'note'
      ? []
      : about(base, snag).flatMap((unit) => {
          const { part } = unit;
          const thinner = isCard(part)
            ? swaps(
                base,
                catalogue,
                unit,
                part.kind,
                (other) => isCard(other) && other.thickSlots < part.thickSlots && doesAsMuch(other, part),
              )
            : [];
          const others = [...otherSlots(base, unit), ...thinner];
          return [...others, ...chassisAround(base, catalogue, others), ...takeOut([unit])];
        }),
  'fits.fanMount': (base, snag, catalogue) => {
    const loose = about(base, snag);
    return [
      ...loose.slice(0, 1).flatMap((unit) => swaps(base, catalogue, unit, 'fan', (part) => mountable(base, part))),
      ...takeOut(loose),
    ];
  },
  'fits.boardInChassis': (base, snag, catalogue) =>
    about(base, snag).flatMap((unit) => {
      const chassis = ofKind(base.assessment.units, 'chassis')[0];
      return [
        ...(chassis
          ? swaps(
              base,
              catalogue,
              chassis,
              'chassis',
              (part) => unit.part.kind === 'board' && part.boardHoles.includes(unit.part.holes),
            )
          : []),
        ...options(base, snag, 'board'),
        ...swaps(base, catalogue, unit, 'board', (part) => mountable(base, part)),
      ];
    }),
  'fits.supplyForm': supply((base, other, now) => mountable(base, other) && other.ratedW >= now.ratedW * 0.7),
  'fits.supplyLength': (base, snag, catalogue) => [
    ...options(base, snag, 'supply'),
    ...supply(
      (on, other, now, one) =>
        other.lengthMm <= (one.gap?.limit ?? 0) && mountable(on, other) && other.ratedW >= now.ratedW * 0.7,
    )(base, snag, catalogue),
  ],
  'fits.coolerHeight': coolerHeight,
  'fits.cardLength': cardLength,
  'fits.cardSlot': cardSlot,
  'fits.driveInBay': driveInBay,
  'fits.bracket': (base, snag, catalogue) => [
    ...(snag.gap ? [] : addSundry('bracket')(base, snag, catalogue)),
    ...(snag.gap ? [] : bracketsOff(base, snag)),
    ...otherCards(
      base,
      snag,
      catalogue,
      (part, now) =>
        isCard(part) &&
        doesAsMuch(part, now) &&
        part.height === 'low' &&
        part.brackets.includes(snag.facts.opening === 'low-profile' ? 'low' : 'full'),
    ),
    ...takeOut(about(base, snag)),
  ],
  'fits.cardHeight': (base, snag, catalogue) => [...onRisers(base, snag, catalogue), ...takeOut(about(base, snag))],
  'fits.riserHand': (base, snag, catalogue) => [
    ...about(base, snag).flatMap((unit) =>
      swaps(base, catalogue, unit, 'riser', (part) => part.hand === snag.facts.want || part.hand === undefined),
    ),
    ...takeOut(about(base, snag)),
  ],
  'fits.fixedBays': none,
  'fits.opening': (base, snag, catalogue) => [
    ...moveCards(base, snag, catalogue),
    ...bracketsOff(base, snag),
    ...takeOut(about(base, snag)),
  ],
  'fits.bracketOpening': none,
  'fits.bracketOff': (base, snag, catalogue) =>
    snag.severity === 'blocker' ? [...moveCards(base, snag, catalogue), ...takeOut(about(base, snag))] : [],
  'fits.holes': (base, snag, catalogue) => [
    ...moveToFreeBays(base, about(base, snag)),
    ...adds(
      base,
      catalogue,
      listed(catalogue, 'adapter').filter(
        (part) => mountable(base, part) && part.bayGroups.some(({ holes }) => holes?.includes(snag.facts.have)),
      ),
    ),
  ],
  'fits.supplyScrews': (base, snag, catalogue) =>
    about(base, snag).flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'supply',
        (part) => mountable(base, part) && part.ratedW >= (unit.part as PartOf<'supply'>).ratedW * 0.7,
      ),
    ),
  'fits.coolerBase': (base, snag, catalogue) =>
    about(base, snag).flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'cooler',
        (part) =>
          part.baseMm >= (snag.gap?.limit ?? 0) &&
          part.sockets.some((socket) => (unit.part as PartOf<'cooler'>).sockets.includes(socket)),
      ),
    ),
  'fits.stick': (base, snag, catalogue) => [
    ...addSundry('usbAngle')(base, snag, catalogue),
    ...about(base, snag).flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'drive',
        (part) => part.size === 'usb' && part.lengthMm < (unit.part as PartOf<'drive'>).lengthMm,
      ),
    ),
  ],
  'fits.plugRoom': (base, snag, catalogue) =>
    snag.severity === 'note'
      ? []
      : [
          ...(snag.severity === 'caution'
            ? addSundry('plugAngle', about(base, snag).length)(base, snag, catalogue)
            : []),
          ...moveToFreeBays(base, about(base, snag)),
          ...takeOut(about(base, snag)),
        ],
  'fits.goesFirst': none,
  'fits.takenOut': none,
  'fits.rackBody': (base, snag, catalogue) =>
    otherChassis(base, snag, catalogue, (part) => part.widthMm <= (snag.gap?.limit ?? 0)),
  'fits.rackDepth': (base, snag, catalogue) =>
    otherChassis(
      base,
      snag,
      catalogue,
      (part) => part.depthMm + (part.handlesMm ?? 0) + snag.facts.cables <= (snag.gap?.limit ?? 0),
    ),
} as const satisfies Proposes;
