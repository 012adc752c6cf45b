import type { Edit } from '../build/edits';
import { printSpot } from '../build/layout';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import type { Part, PartOf } from '../parts/resolve';
import { mismatch } from '../machine/accepts';
import { linkMBps } from '../links/rates';
import { spotsOf } from '../machine/spots';
import { isCard, ofKind, type PlannedUnit } from '../machine/units';
import type { Proposal, Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';
import {
  about,
  addControllers,
  adds,
  causes,
  lanes,
  listed,
  mountable,
  moveToFreeBays,
  nameAll,
  otherSlots,
  swaps,
  takeOut,
} from './guesses';
import type { Base } from './weigh';

type Propose = (base: Base, snag: Snag, catalogue: Catalogue) => Proposal[];
const none: Propose = () => [];

/** Parts added together, each an item of its own with ids that follow on. */
function addAll(
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

const sundry = (catalogue: Catalogue, use: PartOf<'sundry'>['use']) =>
  listed(catalogue, 'sundry').find((part) => part.use === use);
const addSundry =
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
const otherCards = (
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
            (part.kind !== 'controller' || lanes(part) >= lanes(unit.part as PartOf<'controller'>)),
        )
      : [],
  );

const moveCards: Propose = (base, snag) =>
  about(base, snag)
    .filter((unit) => isCard(unit.part))
    .flatMap((unit) => otherSlots(base, unit));

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
                { type: 'place.put', unit: unit.id, spot: { host: add.item.units[0]!.id, key: part.slots[0]!.key } },
              ],
              words: `Add ${part.name} and lay ${unit.part.name} on it`,
            },
          ];
        });
  });

/** A card without its bracket goes behind a wall that has no opening for it. */
const bracketsOff = (base: Base, snag: Snag): Proposal[] =>
  about(base, snag)
    .filter((unit) => isCard(unit.part))
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

/** Modules into the slots that are to be filled first. */
const inOrder: Propose = (base, snag) => {
  const modules = about(base, snag);
  const board = ofKind(base.assessment.units, 'board').find(
    ({ id }) => base.assessment.layout.at[modules[0]?.id ?? '']?.spot.host === id,
  );
  if (!board) return [];
  const edits = modules.map((unit, i): Edit => ({
    type: 'place.put',
    unit: unit.id,
    spot: { host: board.id, key: 'memory', n: board.part.memoryFillOrder[i]! },
  }));
  return [
    {
      edits,
      words:
        `Put ${modules.length === 1 ? 'it' : 'them'} into ` +
        `${modules.length === 1 ? 'slot' : 'slots'} ${snag.facts.first}`,
    },
  ];
};

/** As much memory in fewer and larger modules. */
const fewerModules: Propose = (base, snag, catalogue) => {
  const modules = about(base, snag).filter(
    (unit): unit is PlannedUnit & { readonly part: PartOf<'memory'> } => unit.part.kind === 'memory',
  );
  const now = modules[0]?.part;
  const items = [...new Set(modules.flatMap(({ item }) => (item ? [item] : [])))];
  if (!now) return [];
  const bytes = modules.reduce((sum, { part }) => sum + part.capacityBytes, 0);
  const like = (part: PartOf<'memory'>) =>
    part.form === now.form && part.type === now.type && part.registered === now.registered && part.ecc === now.ecc;
  return listed(catalogue, 'memory')
    .filter(
      (part) =>
        like(part) && part.capacityBytes > now.capacityBytes && part.capacityBytes <= Number(snag.facts.of) * 1024 ** 3,
    )
    .slice(0, 1)
    .map((part) => {
      const count = Math.max(2, Math.ceil(bytes / part.capacityBytes));
      return {
        edits: [
          ...items.map(({ id }): Edit => ({ type: 'item.remove', item: id })),
          ...addAll(base, catalogue, [{ part, count }]),
        ],
        words: `Take ${count} × ${part.name} instead of ${modules.length} × ${now.name}`,
      };
    });
};

const smallParts: Propose = (base, _snag, catalogue) => {
  const wanted = base.assessment.small
    .filter(({ toBuy }) => toBuy > 0)
    .flatMap((need) => {
      const part = sundry(catalogue, need.use);
      return part ? [{ part, count: Math.ceil(need.toBuy / part.packOf) }] : [];
    });
  return wanted.length
    ? [
        {
          edits: addAll(base, catalogue, wanted),
          words: wanted.length === 1 ? `Add ${wanted[0]!.part.name}` : `Put all ${wanted.length} on the list`,
        },
      ]
    : [];
};

/** Guesses for snags of fit, holding, links and completeness. */
export const FIT_PROPOSALS = {
  'fits.bracket': (base, snag, catalogue) => [
    ...(snag.gap ? [] : addSundry('bracket')(base, snag, catalogue)),
    ...(snag.gap ? [] : bracketsOff(base, snag)),
    ...otherCards(
      base,
      snag,
      catalogue,
      (part) =>
        isCard(part) &&
        part.height === 'low' &&
        part.brackets.includes(snag.facts.opening === 'low-profile' ? 'low' : 'full'),
    ),
    ...takeOut(about(base, snag)),
  ],
  'fits.cardHeight': (base, snag, catalogue) => [...onRisers(base, snag, catalogue), ...takeOut(about(base, snag))],
  'fits.fixedBays': none,
  'fits.opening': (base, snag, catalogue) => [
    ...moveCards(base, snag, catalogue),
    ...bracketsOff(base, snag),
    ...takeOut(about(base, snag)),
  ],
  'fits.bracketOff': none,
  'fits.holes': (base, snag, catalogue) => [
    ...moveToFreeBays(base, about(base, snag)),
    ...adds(
      base,
      catalogue,
      listed(catalogue, 'adapter').filter(
        (part) => mountable(base, part) && part.bayGroups.some(({ holes }) => holes?.includes(snag.facts.have as 'A')),
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
  'fits.rackBody': (base, snag, catalogue) =>
    otherChassis(base, snag, catalogue, (part) => part.widthMm <= (snag.gap?.limit ?? 0)),
  'fits.rackDepth': (base, snag, catalogue) =>
    otherChassis(
      base,
      snag,
      catalogue,
      (part) => part.depthMm + (part.handlesMm ?? 0) + Number(snag.facts.cables) <= (snag.gap?.limit ?? 0),
    ),
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
  'reaches.slotLink': (base, snag, catalogue) => (snag.severity === 'note' ? [] : moveCards(base, snag, catalogue)),
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
  'reaches.raid': (base, snag, catalogue) =>
    snag.severity === 'note'
      ? []
      : otherCards(base, snag, catalogue, (part) => part.kind === 'controller' && part.passThrough),
  'mates.sectors': (base, snag, catalogue) =>
    about(base, snag)
      .slice(0, 1)
      .flatMap((unit) =>
        swaps(
          base,
          catalogue,
          unit,
          'drive',
          (part) =>
            part.sectors !== '520' &&
            part.size === (unit.part as PartOf<'drive'>).size &&
            part.interface === (unit.part as PartOf<'drive'>).interface &&
            part.capacityBytes >= (unit.part as PartOf<'drive'>).capacityBytes,
        ),
      ),
  'mates.powerDisable': none,
  'mates.memoryOrder': inOrder,
  'mates.memoryPath': fewerModules,
  'mates.frontUsb': addSundry('headerAdapter'),
  'mates.spareCables': (base, snag) => (snag.severity === 'note' ? [] : cablesOut(base, snag, 'Leave out')),
  'mates.cableLength': (base, snag) => cablesOut(base, snag, 'Buy others instead of'),
  'complete.smallParts': smallParts,
  'complete.uselessPorts': none,
} as const satisfies Partial<Record<SnagCode, Propose>>;

const cablesOut = (base: Base, snag: Snag, words: string): Proposal[] =>
  takeOut(about(base, snag)).map((one) => ({
    ...one,
    words:
      `${words} ` +
      (about(base, snag).length === 1
        ? nameAll(about(base, snag))
        : `${about(base, snag).length} × ${about(base, snag)[0]!.part.name}`),
  }));
