import { printSpot } from '../../build/layout';
import { linkMBps } from '../../links/rates';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { ofKind, type PlannedUnit } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import type { Proposal } from '../../snags/snag';
import { about, addControllers, causes, lanes, lower, speaksTo, swaps, takeOut } from '../guesses';
import type { Base } from '../weigh';
import { releases, none, otherCards, moveCards, type Propose, type Proposes } from './shared';

const portsShort: Propose = (base, snag, catalogue) => {
  const controllers = addControllers(base, catalogue, speaksTo(about(base, snag)));
  const m2 = causes(base, snag).filter((unit) => unit.part.kind === 'drive');
  const others = m2.flatMap((unit) =>
    swaps(
      base,
      catalogue,
      unit,
      'drive',
      (part) =>
        part.size === 'm2' &&
        part.interface !== (unit.part as PartOf<'drive'>).interface &&
        part.capacityBytes >= (unit.part as PartOf<'drive'>).capacityBytes,
    ),
  );
  const out = takeOut(m2);
  // Where neither alone is enough, a controller and the freed ports together may be.
  const both = (others[0] ? [others[0]] : out).flatMap((one) =>
    controllers.map((add): Proposal => ({
      edits: [...add.edits, ...one.edits],
      words: `${add.words}, and ${lower(one.words)}`,
      madeOf: [add.words, one.words],
    })),
  );
  const bigger = ofKind(base.assessment.units, 'controller').flatMap((unit) =>
    swaps(base, catalogue, unit, 'controller', (part) => lanes(part) > lanes(unit.part)),
  );
  return [...releases(base), ...controllers, ...others, ...out, ...bigger, ...takeOut(about(base, snag)), ...both];
};

function otherSockets(base: Base, unit: PlannedUnit): Proposal[] {
  const { layout, units } = base.assessment;
  const now = layout.at[unit.id]?.spot;
  const taken = new Set(Object.values(layout.at).map((seat) => printSpot(seat.spot)));
  return units
    .filter((one) => layout.at[one.id])
    .flatMap((host) => spotsOf(host.id, host.part))
    .filter(
      (spot) =>
        spot.type === 'm2' &&
        `${spot.host}/${spot.key}` !== (now && printSpot(now)) &&
        !taken.has(`${spot.host}/${spot.key}`) &&
        !mismatch(unit.part, spot),
    )
    .map((spot) => ({
      edits: [{ type: 'place.put', unit: unit.id, spot: { host: spot.host, key: spot.key } }],
      words: `Move ${unit.part.name} to ${spot.label}`,
    }));
}

/** A card that shares its lanes out by itself, or a board whose slots part. */
const sharesAlone: Propose = (base, snag, catalogue) => [
  ...about(base, snag).flatMap((unit) =>
    unit.part.kind === 'controller'
      ? swaps(base, catalogue, unit, 'controller', (part) => part.pcieBy === 'switch' || part.pcieBy === 'triMode')
      : [],
  ),
  ...causes(base, snag).flatMap((unit) => {
    const board = unit.part;
    return board.kind === 'board'
      ? swaps(
          base,
          catalogue,
          unit,
          'board',
          (part) => part.socket === board.socket && part.slots.some(({ bifurcates }) => bifurcates?.length),
        )
      : [];
  }),
];

/** Guesses for the snags of this family. */
export const REACHES = {
  'reaches.interface': (base, snag, catalogue) => [
    ...releases(base),
    ...addControllers(base, catalogue, speaksTo(about(base, snag))),
    ...takeOut(about(base, snag)),
  ],
  'reaches.portsShort': portsShort,
  'reaches.multiplier': (base, snag, catalogue) => [
    ...addControllers(base, catalogue, (part) => part.portMultiplier),
    ...ofKind(base.assessment.units, 'controller').flatMap((unit) =>
      swaps(base, catalogue, unit, 'controller', (part) => part.portMultiplier),
    ),
    ...takeOut(about(base, snag)),
  ],
  'reaches.mostDevices': (base, snag, catalogue) => [
    ...addControllers(base, catalogue),
    ...about(base, snag).flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'controller',
        (part) => part.mostDevices > (unit.part as PartOf<'controller'>).mostDevices,
      ),
    ),
  ],
  'reaches.largestDrive': (base, snag, catalogue) => [
    ...causes(base, snag).flatMap((unit) =>
      unit.part.kind === 'controller'
        ? swaps(
            base,
            catalogue,
            unit,
            'controller',
            (part) => part.largestDriveBytes === undefined && lanes(part) >= lanes(unit.part as PartOf<'controller'>),
          )
        : [],
    ),
    ...addControllers(base, catalogue, (part) => part.largestDriveBytes === undefined),
    ...takeOut(about(base, snag)),
  ],
  // Lanes that carry all that is asked are worth knowing; to move a card that carries less costs nothing.
  'reaches.slotLink': (base, snag, catalogue) =>
    snag.severity === 'note' && snag.gap.unit !== 'MB/s' ? [] : moveCards(base, snag, catalogue),
  'reaches.cardUplink': (base, snag, catalogue) =>
    snag.severity === 'note'
      ? []
      : otherCards(
          base,
          snag,
          catalogue,
          (part, now) =>
            part.kind === 'controller' &&
            now.kind === 'controller' &&
            Math.min(linkMBps(part.lanes, part.gen), part.throughputMBps) >
              Math.min(linkMBps(now.lanes, now.gen), now.throughputMBps),
        ),
  'reaches.m2Link': (base, snag) => about(base, snag).flatMap((unit) => otherSockets(base, unit)),
  'reaches.bifurcation': (base, snag, catalogue) => [
    ...moveCards(base, snag, catalogue),
    ...about(base, snag)
      .filter((unit) => unit.part.kind === 'drive')
      .flatMap((unit) => otherSockets(base, unit)),
    ...sharesAlone(base, snag, catalogue),
    ...takeOut(about(base, snag).filter((unit) => unit.part.kind === 'drive')),
  ],
  'reaches.laneBudget': (base, snag, catalogue) =>
    about(base, snag).flatMap((unit) =>
      unit.part.kind === 'processor' && !unit.builtIn
        ? swaps(
            base,
            catalogue,
            unit,
            'processor',
            (part) =>
              part.socket === (unit.part as PartOf<'processor'>).socket &&
              part.lanes > (unit.part as PartOf<'processor'>).lanes,
          )
        : [],
    ),
  'reaches.chipsetUplink': moveCards,
  'reaches.uplink': none,
  'reaches.addedChip': (base, snag, catalogue) => (snag.severity === 'note' ? [] : addControllers(base, catalogue)),
  'reaches.raid': (base, snag, catalogue) =>
    snag.severity === 'note'
      ? []
      : otherCards(base, snag, catalogue, (part) => part.kind === 'controller' && part.passThrough),
} as const satisfies Proposes;
