import type { EditOf } from '../build/edits';
import { printSpot } from '../build/layout';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import { fanRpmShare } from '../figures/fanCurve';
import type { Part, PartOf } from '../parts/resolve';
import { conflictOf } from '../solve/conflict';
import { plugInputs } from '../needs/plugs';
import { adaptersHold } from '../needs/splitters';
import { boxOf, seatsOf } from '../machine/hosts';
import { mismatch } from '../machine/accepts';
import { sittersBySpot } from '../machine/sitters';
import { refsOf, spotsOf } from '../machine/spots';
import { isCard, isKind, ofKind, plannedUnits, type PlannedUnit } from '../machine/units';
import type { Proposal, Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';
import {
  about,
  addControllers,
  adds,
  causes,
  lanes,
  listed,
  lower,
  MOST_OF_A_KIND,
  mountable,
  moveToFreeBays,
  options,
  otherSlots,
  swaps,
  takeOut,
} from './guesses';
import { FIT_PROPOSALS } from './fitProposals';
import { replaceEdit } from './tryAt';
import type { Base } from './weigh';

type Propose = (base: Base, snag: Snag, catalogue: Catalogue) => Proposal[];
/** Cheap guesses at what could help; the weighing decides. */
export function proposalsFor(base: Base, snag: Snag, catalogue: Catalogue): Proposal[] {
  return PROPOSE[snag.code](base, snag, catalogue);
}

/** Holds that are in the way of a whole layout, given back to the wiring. */
const releases = ({ build }: Base): Proposal[] => {
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

const portsShort: Propose = (base, snag, catalogue) => {
  const controllers = addControllers(base, catalogue);
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

const cardLength: Propose = (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const { part } = unit;
    if (!isCard(part)) return [];
    const limit = snag.gap?.limit ?? 0;
    const together = part.kind === 'controller' ? severalShorter(base, catalogue, unit, part, limit) : [];
    const shorter =
      part.kind === 'controller'
        ? swaps(base, catalogue, unit, 'controller', (other) => other.lengthMm <= limit && lanes(other) >= lanes(part))
        : swaps(base, catalogue, unit, part.kind, (other) => 'lengthMm' in other && other.lengthMm <= limit);
    return [...options(base, snag, 'card'), ...otherSlots(base, unit), ...shorter, ...together];
  });

/** Two or three shorter controllers of one sheet that have as many ports together. */
function severalShorter(
  base: Base,
  catalogue: Catalogue,
  unit: PlannedUnit,
  now: PartOf<'controller'>,
  limitMm: number,
): Proposal[] {
  return listed(catalogue, 'controller')
    .filter((part) => part.lengthMm <= limitMm && lanes(part) < lanes(now) && lanes(part) * MOST_TOGETHER >= lanes(now))
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

/** Fans for a free mount in the chassis of the part a snag is about. */
const fansInFreeMounts: Propose = (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const { units, layout } = base.assessment;
    const box = boxOf(unit.id, seatsOf(layout), units);
    const sitting = sittersBySpot(units, layout);
    const free = box
      ? spotsOf(box.id, box.part)
          .filter((spot) => spot.type === 'fanMount')
          .flatMap((group) =>
            refsOf(group)
              .filter((ref) => !sitting.has(printSpot(ref)))
              .slice(0, 1)
              .map((ref) => ({ group, ref })),
          )
      : [];
    return free.flatMap(({ group, ref }) =>
      listed(catalogue, 'fan')
        .filter((part) => !mismatch(part, group))
        .slice(0, FANS_A_MOUNT)
        .map((part): Proposal => ({
          edits: [addItemEdit(base.build, catalogue, part.id, 1, { spots: [ref] })],
          words: `Fit ${part.name} at ${lower(group.label)}`,
        })),
    );
  });
const FANS_A_MOUNT = 3;

/** Another cooler for the same socket; which of them carry enough is seen where parts are exchanged. */
const otherCoolers = (
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  goes: (part: PartOf<'cooler'>) => boolean,
): Proposal[] =>
  about(base, snag).flatMap((unit) =>
    isKind(unit, 'cooler')
      ? swaps(
          base,
          catalogue,
          unit,
          'cooler',
          (part) => part.sockets.some((socket) => unit.part.sockets.includes(socket)) && goes(part),
        )
      : [],
  );

const coolerHeight: Propose = (base, snag, catalogue) =>
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

const supply =
  (goes: (base: Base, part: PartOf<'supply'>, now: PartOf<'supply'>, snag: Snag) => boolean): Propose =>
  (base, snag, catalogue) =>
    about(base, snag).flatMap((unit) => {
      const { part } = unit;
      return part.kind === 'supply'
        ? swaps(base, catalogue, unit, 'supply', (other) => goes(base, other, part, snag))
        : [];
    });

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

const driveInBay: Propose = (base, snag, catalogue) => {
  const drives = about(base, snag);
  const adapters = adds(
    base,
    catalogue,
    listed(catalogue, 'adapter').filter((part) => mountable(base, part)),
  );
  return [
    ...releases(base),
    ...adapters,
    ...(drives.length > FEW_DRIVES ? shelves(base, catalogue, drives.length) : []),
    ...takeOut(drives),
  ];
};

const memory: Propose = (base, snag, catalogue) => {
  const board = ofKind(base.assessment.units, 'board')[0];
  if (!board) return [];
  const bank = spotsOf(board.id, board.part).find((spot) => spot.type === 'memoryBank');
  const unit = about(base, snag)[0];
  if (!unit || unit.part.kind !== 'memory' || !bank) return takeOut(about(base, snag));
  const want = unit.part.capacityBytes;
  const fits = (part: PartOf<'memory'>) =>
    !mismatch(part, bank) &&
    part.capacityBytes >= want &&
    (board.part.memoryRegistered === 'may' || part.registered === (board.part.memoryRegistered === 'must'));
  return [...swaps(base, catalogue, unit, 'memory', fits), ...takeOut(about(base, snag))];
};

const start12V: Propose = (base, snag, catalogue) =>
  supply((_base, other, now) => other.rail12A > now.rail12A && mountable(base, other))(base, snag, catalogue);

/**
 * A quieter fan that moves less air, or moves it against less, at any duty pays in degrees: it is no remedy as long as
 * those are not computed.
 */
const DUTIES = [0.3, 0.5, 1];
const AS_MUCH = 0.97;
const movesAsMuch = (part: PartOf<'fan'>, now: PartOf<'fan'>): boolean =>
  DUTIES.every((duty) => {
    const [share, had] = [fanRpmShare(part, duty), fanRpmShare(now, duty)];
    return (
      part.flowM3h * share >= AS_MUCH * now.flowM3h * had &&
      part.pressurePa * share ** 2 >= AS_MUCH * now.pressurePa * had ** 2
    );
  });

const sound: Propose = (base, snag, catalogue) => {
  const fans = about(base, snag).filter((unit) => unit.part.kind === 'fan');
  const quieter = listed(catalogue, 'fan').flatMap((part): Proposal[] => {
    const spots = fans.flatMap((unit) => {
      const spot = unit.builtIn && !unit.builtIn.fixed ? unit.builtIn.spot : undefined;
      const host = base.assessment.units.find((one) => one.id === spot?.host);
      const group = spot && host && spotsOf(host.id, host.part).find((one) => one.key === spot.key);
      return spot && group && !mismatch(part, group) && movesAsMuch(part, unit.part as PartOf<'fan'>)
        ? [{ host: spot.host, key: spot.key, ...(group.count > 1 ? { n: spot.n ?? 1 } : {}) }]
        : [];
    });
    const edit =
      spots.length === fans.length && fans.length > 0
        ? addItemEdit(base.build, catalogue, part.id, spots.length, { spots })
        : null;
    return edit
      ? [{ edits: [edit], words: `Fit ${spots.length} × ${part.name} in place of ${fans[0]!.part.name}` }]
      : [];
  });
  const swapped = fans
    .filter((unit) => !unit.builtIn)
    .slice(0, 1)
    .flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'fan',
        (part) => part.sizeMm === (unit.part as PartOf<'fan'>).sizeMm && movesAsMuch(part, unit.part as PartOf<'fan'>),
      ),
    );
  const supplies = ofKind(base.assessment.units, 'supply')
    .filter((unit) => about(base, snag).includes(unit))
    .flatMap((unit) => swaps(base, catalogue, unit, 'supply', (part) => mountable(base, part)));
  return [...quieter, ...swapped, ...supplies];
};

const addPart = (base: Base, catalogue: Catalogue, part: Part, count = 1): Proposal => ({
  edits: [addItemEdit(base.build, catalogue, part.id, count)],
  words: `Add ${count > 1 ? `${count} × ` : ''}${part.name}`,
});
const socketOf = (base: Base) => ofKind(base.assessment.units, 'board')[0]?.part.socket ?? null;

const plugs: Propose = (base, snag, catalogue) => {
  const short = -(snag.gap?.gap ?? 0);
  const { units, layout } = base.assessment;
  const feeding = about(base, snag).find((unit) => isKind(unit, 'supply'));
  const box = feeding && boxOf(feeding.id, seatsOf(layout), units);
  const inputs = plugInputs(units, layout, (unit) => boxOf(unit.id, seatsOf(layout), units) === box);
  const have = ofKind(units, 'powerAdapter').map((unit) => unit.part);
  const holds = (part: PartOf<'powerAdapter'>, count: number) =>
    feeding &&
    isKind(feeding, 'supply') &&
    adaptersHold(inputs, feeding.part, [...have, ...Array.from({ length: count }, () => part)]);
  const splitters = listed(catalogue, 'powerAdapter').flatMap((part): Proposal[] => {
    const gives = part.gives.find(({ plug }) => plug === snag.facts.plug)?.count ?? 0;
    const gain = gives - (part.takes === snag.facts.plug ? 1 : 0);
    const count = Math.ceil(short / gain);
    return gain > 0 && holds(part, count) ? [addPart(base, catalogue, part, count)] : [];
  });
  const count = (part: PartOf<'supply'>) =>
    part.cables.reduce(
      (sum, cable) =>
        sum + cable.count * cable.plugs.reduce((all, one) => all + (one.plug === snag.facts.plug ? one.count : 0), 0),
      0,
    );
  return [
    ...splitters,
    ...supply((_base, other, now) => count(other) > count(now) && mountable(base, other))(base, snag, catalogue),
  ];
};

const smallerChassis: Propose = (base, _snag, catalogue) => {
  const { brief } = base.build;
  const chassis = ofKind(base.assessment.units, 'chassis')[0];
  const holes = ofKind(base.assessment.units, 'board').map((unit) => unit.part.holes);
  const within = (have: number, limit: number | undefined) => limit === undefined || have <= limit;
  return chassis
    ? swaps(
        base,
        catalogue,
        chassis,
        'chassis',
        (part) =>
          part.style !== 'external' &&
          holes.every((one) => part.boardHoles.includes(one)) &&
          within(part.depthMm, brief.maxDepthMm) &&
          within(part.widthMm, brief.maxWidthMm) &&
          within(part.heightMm, brief.maxHeightMm) &&
          within(part.massG, brief.maxMassG) &&
          (base.build.site.place !== 'rack' || part.rackUnits !== null) &&
          within(part.rackUnits ?? 0, brief.rackUnits),
      )
    : [];
};

/**
 * A near twin that has what is wished: memory with ECC, a board with remote management; those of the same class first.
 */
const twins: Propose = (base, snag, catalogue) =>
  about(base, snag)
    .slice(0, 1)
    .flatMap((unit) => {
      const { part } = unit;
      if (snag.facts.wish === 'remote management' && part.kind === 'board') {
        const like = swaps(
          base,
          catalogue,
          unit,
          'board',
          (other) =>
            other.remoteManagement &&
            other.socket === part.socket &&
            mountable(base, other) &&
            other.archetype === part.archetype,
        );
        return [
          ...like,
          ...swaps(
            base,
            catalogue,
            unit,
            'board',
            (other) =>
              other.remoteManagement &&
              other.socket === part.socket &&
              mountable(base, other) &&
              other.archetype !== part.archetype,
          ),
        ];
      }
      if (snag.facts.wish !== 'ECC memory') return [];
      if (part.kind !== 'memory') return [];
      return swaps(
        base,
        catalogue,
        unit,
        'memory',
        (other) =>
          other.ecc &&
          other.form === part.form &&
          other.type === part.type &&
          other.registered === part.registered &&
          other.capacityBytes >= part.capacityBytes,
      );
    });

const PROPOSE: Readonly<Record<SnagCode, Propose>> = {
  ...FIT_PROPOSALS,
  'fits.cardCovers': (base, snag, catalogue) =>
    snag.severity === 'note'
      ? []
      : about(base, snag).flatMap((unit) => [
          ...otherSlots(base, unit),
          ...(isCard(unit.part)
            ? swaps(
                base,
                catalogue,
                unit,
                unit.part.kind,
                (other) => 'thickSlots' in other && other.thickSlots < (unit.part as { thickSlots: number }).thickSlots,
              )
            : []),
          ...takeOut([unit]),
        ]),
  'fits.fanMount': (base, snag, catalogue) => {
    const loose = about(base, snag);
    return [
      ...loose.slice(0, 1).flatMap((unit) => swaps(base, catalogue, unit, 'fan', (part) => mountable(base, part))),
      ...takeOut(loose),
    ];
  },
  'reaches.interface': (base, snag, catalogue) => [
    ...releases(base),
    ...addControllers(base, catalogue),
    ...takeOut(about(base, snag)),
  ],
  'mates.socket': (base, snag, catalogue) => {
    const socket = socketOf(base);
    return about(base, snag)
      .slice(0, 1)
      .flatMap((unit) => [
        ...(unit.part.kind === 'processor'
          ? swaps(base, catalogue, unit, 'processor', (part) => part.socket === socket)
          : swaps(base, catalogue, unit, 'cooler', (part) => socket !== null && part.sockets.includes(socket))),
        ...ofKind(base.assessment.units, 'board').flatMap((board) =>
          swaps(
            base,
            catalogue,
            board,
            'board',
            (part) =>
              (unit.part.kind === 'processor'
                ? part.socket === unit.part.socket
                : unit.part.kind === 'cooler' && unit.part.sockets.includes(part.socket ?? '')) &&
              mountable(base, part),
          ),
        ),
        ...takeOut([unit]),
      ]);
  },
  'mates.memoryMax': memory,
  'mates.display': (base, snag, catalogue) => [
    ...about(base, snag)
      .filter((unit) => !unit.builtIn)
      .flatMap((unit) =>
        unit.part.kind === 'processor'
          ? swaps(base, catalogue, unit, 'processor', (part) => part.graphics && part.socket === socketOf(base))
          : [],
      ),
    ...listed(catalogue, 'accelerator')
      .filter((part) => part.displayOutput)
      .slice(0, 3)
      .map((part) => addPart(base, catalogue, part)),
  ],
  'powered.plugs': plugs,
  'powered.total': supply((base, other, now) => other.ratedW > now.ratedW && mountable(base, other)),
  'cooled.cooler': (base, snag, catalogue) => otherCoolers(base, snag, catalogue, () => true),
  'cooled.passive': (base, snag, catalogue) => [
    ...fansInFreeMounts(base, snag, catalogue),
    ...otherCoolers(base, snag, catalogue, (part) => !part.passive),
  ],
  'within.money': () => [],
  'within.idle': (base, _snag, catalogue) =>
    ofKind(base.assessment.units, 'supply')
      .filter((unit) => !unit.builtIn)
      .flatMap((unit) => swaps(base, catalogue, unit, 'supply', (part) => mountable(base, part))),
  'within.peak': () => [],
  'within.size': smallerChassis,
  'within.rackUnits': smallerChassis,
  'within.growth': (base, _snag, catalogue) => addControllers(base, catalogue),
  'within.network': (base, snag, catalogue) =>
    listed(catalogue, 'networkCard')
      .filter((part) => part.networkPorts.some((port) => port.gbPerS >= (snag.gap?.limit ?? 0)))
      .slice(0, MOST_OF_A_KIND)
      .map((part) => addPart(base, catalogue, part)),
  'within.mustHave': twins,
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
  'fits.cardSlot': (base, snag, catalogue) => [
    ...releases(base),
    ...ofKind(base.assessment.units, 'board').flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'board',
        (part) =>
          part.slots.length > unit.part.slots.length && part.socket === unit.part.socket && mountable(base, part),
      ),
    ),
    ...takeOut(about(base, snag)),
  ],
  'fits.driveInBay': driveInBay,
  'reaches.portsShort': portsShort,
  'mates.memory': memory,
  'mates.memorySlots': memory,
  'mates.memoryRegistered': memory,
  'powered.start12V': start12V,
  'within.sound': sound,
};
