import { memberAt } from '../../lists';
import { minorPerMajor, rateOf } from '../../parts/currency';
import { moneyLines, type MoneyLine } from '../../figures/cost/money';
import type { FigureId } from '../../figures/figures';
import { Ledger } from '../../figures/quantity';
import { roomFloorDb, soundSources } from '../../figures/sound/ear';
import { filledMassG } from '../../figures/weight';
import { dataDrives } from '../../machine/roles';
import { ofKind } from '../../machine/units';
import { chassisOf, type Situation } from '../situation';
import type { PartOf } from '../../parts/resolve';
import type { Facts, Place, FindingOf, Sized } from '../finding';
import type { Found } from '../words';

/** A figure against a wish: over it by its likely value, or only by its bad end and by more than `slack`. */
function overWish<F extends Facts>(
  situation: Situation,
  id: FigureId,
  wish: number | undefined,
  slack: number,
  at: () => readonly Place[],
  facts: () => F,
): FindingOf<Sized<F>>[] {
  const figure = situation.figures[id];
  if (wish === undefined || !figure || figure.hi <= wish) return [];
  // Over by less than anybody could tell, and perhaps not at all.
  if (figure.lo <= wish && figure.value - wish < slack && figure.hi - wish < 2 * slack) return [];
  if (figure.value <= wish && figure.hi - wish < slack) return [];
  return [
    {
      severity: figure.value > wish ? 'caution' : 'note',
      at: at(),
      gap: {
        have: figure.value,
        limit: wish,
        gap: wish - figure.value,
        unit: figure.unit,
        lo: figure.lo,
        hi: figure.hi,
      },
      facts: facts(),
    },
  ];
}

/** A machine so far under its room hardly raises the level there. */
const HARDLY_DB = 6;

/**
 * The machine's part of the sound against the wish. A wish under what the room hides is not asked of the machine; where
 * the room alone is over it, that is said instead of blaming a fan.
 */
export function soundWithinBrief(situation: Situation): Found<'within.sound'>[] {
  const wish = situation.brief.earDb;
  const room = roomFloorDb(situation.context.site);
  const found = machineOver(situation, wish === undefined ? undefined : Math.max(wish, room - HARDLY_DB));
  if (found.length > 0 || wish === undefined || room <= wish) return found;
  return [
    {
      severity: 'note',
      at: [],
      gap: { have: room, limit: wish, gap: wish - room, unit: 'dB(A)' },
      facts: { loudest: '', room: Math.round(room), wish },
    },
  ];
}

function machineOver(situation: Situation, wish: number | undefined): Found<'within.sound'>[] {
  const loudest = () =>
    soundSources(situation.context, new Ledger(false)).sort((a, b) => b.power.value - a.power.value)[0];
  return overWish(
    situation,
    'sound.earIdleDb',
    wish,
    0.5,
    () => (loudest()?.units ?? []).map((unit) => ({ unit: unit.id })),
    () => {
      const one = loudest();
      return {
        loudest: one ? `${one.units.length > 1 ? `${one.units.length} × ` : ''}${one.label}` : 'the machine',
        room: 0,
        wish: situation.brief.earDb ?? 0,
      };
    },
  );
}

/** A range that passes the wish by less than this share is not worth a tag. */
const SLACK_SHARE = 0.02;

export const idleWithinBrief = (situation: Situation): Found<'within.idle'>[] =>
  overWish(
    situation,
    'power.idleWallW',
    situation.brief.idleW,
    (situation.brief.idleW ?? 0) * SLACK_SHARE,
    () => [],
    () => ({}),
  );

export const peakWithinBrief = (situation: Situation): Found<'within.peak'>[] =>
  overWish(
    situation,
    'power.peakWallW',
    situation.brief.peakW,
    (situation.brief.peakW ?? 0) * SLACK_SHARE,
    () => [],
    () => ({}),
  );

export function moneyWithinBrief(situation: Situation): Found<'within.money'>[] {
  const { moneyMinor } = situation.brief;
  const { currency } = situation.context;
  const slack = ((moneyMinor ?? 0) / minorPerMajor(currency)) * SLACK_SHARE;
  return overWish(
    situation,
    'cost.now',
    moneyMinor === undefined ? undefined : moneyMinor / minorPerMajor(currency),
    slack,
    () => [],
    () => ({ currency }),
    // Over by less than prices move in a week is worth knowing, no more.
  ).map((found) =>
    (found.gap.lo ?? found.gap.have) <= found.gap.limit && -found.gap.gap < slack
      ? { ...found, severity: 'note' as const }
      : found,
  );
}

/**
 * Outer size and the weight of the filled machine against the room there is. In a rack, depth, width and weight are
 * hard limits.
 */
export function sizeWithinBrief(situation: Situation): Found<'within.size'>[] {
  const { brief, context } = situation;
  const rack = context.site.place === 'rack';
  return chassisOf(situation).flatMap((unit): Found<'within.size'>[] => {
    const { part } = unit;
    const mass = filledMassG(context, unit);
    const sides = [
      ['deep', part.depthMm, brief.maxDepthMm, 'mm', rack],
      ['wide', part.widthMm, brief.maxWidthMm, 'mm', rack],
      ['high', part.heightMm, brief.maxHeightMm, 'mm', false],
    ] as const;
    const limitKg = brief.maxMassG === undefined ? Infinity : brief.maxMassG / 1000;
    const [have, lo, hi] = [mass.value / 1000, mass.lo / 1000, mass.hi / 1000];
    const heavy: Found<'within.size'>[] =
      hi > limitKg
        ? [
            {
              severity: rack && lo > limitKg ? 'blocker' : 'caution',
              at: [{ unit: unit.id }],
              gap: { have, limit: limitKg, gap: limitKg - have, unit: 'kg', lo, hi },
              facts: { chassis: part.name, side: 'heavy' },
            },
          ]
        : [];
    const large = sides.flatMap(([side, have, limit, of, hard]): Found<'within.size'>[] =>
      limit !== undefined && have > limit
        ? [
            {
              severity: hard ? 'blocker' : 'caution',
              at: [{ unit: unit.id }],
              gap: { have, limit, gap: limit - have, unit: of },
              facts: { chassis: part.name, side },
            },
          ]
        : [],
    );
    return [...large, ...heavy];
  });
}

/** What two people lift together (ISO 11228-1: 25 kg for one man at best). */
const ONE_PERSON_KG = 25;

/** A filled machine that one person should not lift alone. */
export function liftedByTwo(situation: Situation): Found<'within.lift'>[] {
  return chassisOf(situation).flatMap((unit): Found<'within.lift'>[] => {
    const { value, lo, hi } = filledMassG(situation.context, unit);
    const kg = value / 1000;
    return kg > ONE_PERSON_KG
      ? [
          {
            severity: 'note',
            at: [{ unit: unit.id }],
            gap: { have: kg, limit: ONE_PERSON_KG, gap: ONE_PERSON_KG - kg, unit: 'kg', lo: lo / 1000, hi: hi / 1000 },
            facts: { chassis: unit.part.name },
          },
        ]
      : [];
  });
}

export function rackUnitsWithinBrief(situation: Situation): Found<'within.rackUnits'>[] {
  const { rackUnits } = situation.brief;
  const boxes = chassisOf(situation);
  if (situation.context.site.place === 'rack') {
    const loose = boxes.filter((unit) => unit.part.rackUnits === null);
    if (loose.length)
      return [
        {
          severity: 'note',
          at: loose.map((unit) => ({ unit: unit.id })),
          facts: { chassis: memberAt(loose, 0).part.name, units: 0 },
        },
      ];
  }
  const units = boxes.reduce((sum, unit) => sum + (unit.part.rackUnits ?? 0), 0);
  return rackUnits !== undefined && units > rackUnits
    ? [
        {
          severity: 'caution',
          at: boxes.map((unit) => ({ unit: unit.id })),
          gap: { have: units, limit: rackUnits, gap: rackUnits - units, unit: 'U' },
          facts: { chassis: memberAt(boxes, 0).part.name, units },
        },
      ]
    : [];
}

/** Places for more drives. Without a board the ports are not chosen yet: then the bays alone tell. */
function roomFor(situation: Situation): { readonly more: number; readonly ports: number | undefined } | null {
  const [room, bays] = [situation.figures['drives.room'], situation.figures['bays.free']];
  if (!room || chassisOf(situation).length === 0) return null;
  if (ofKind(situation.units, 'board').length === 0) return bays ? { more: bays.value, ports: undefined } : null;
  return { more: room.value, ports: situation.figures['ports.free']?.value ?? 0 };
}

/** Room for as many drives as will be wanted later, the bays and ports there are now. */
export function growthWithinBrief(situation: Situation): Found<'within.growth'>[] {
  const wish = situation.brief.drivesLater;
  const room = roomFor(situation);
  const now = dataDrives(situation.units).length;
  if (wish === undefined || !room || now + room.more >= wish) return [];
  return [
    {
      severity: 'caution',
      at: [],
      gap: { have: now + room.more, limit: wish, gap: now + room.more - wish, unit: 'drives' },
      facts: { now, more: room.more, bays: situation.figures['bays.free']?.value ?? 0, ports: room.ports },
    },
  ];
}

/**
 * Room for data against the brief: what the sets hold, made or proposed, as the tape tells it. What no layout that
 * survives so many failures could reach is told apart: the drives without as many of the largest.
 */
export function usableWithinBrief(situation: Situation): Found<'within.usable'>[] {
  const { usableTb: wish, failuresSurvived = 0 } = situation.brief;
  const most = situation.figures['capacity.mostTb'];
  const usable = situation.figures['capacity.usableTb'];
  const drives = dataDrives(situation.units);
  if (!most || !usable) return [];
  const isMade = situation.pool.sets.length > 0;
  const isTooFew = !isMade && failuresSurvived > 0 && drives.length <= failuresSurvived;
  if (!isTooFew && (wish === undefined || usable.value >= wish)) return [];
  const have = isTooFew ? most.value : usable.value;
  return [
    {
      severity: 'caution',
      at: drives.map((unit) => ({ unit: unit.id })),
      ...(wish === undefined ? {} : { gap: { have, limit: wish, gap: have - wish, unit: 'TB' } }),
      facts: {
        drives: drives.length,
        failures: failuresSurvived,
        mostTb: most.value,
        usableTb: usable.value,
        wishTb: wish ?? 0,
        isMade: isMade ? 'yes' : '',
      },
    },
  ];
}

/** Room for data later: every free place filled with more of the commonest drive, and it is still not enough. */
export function usableLaterWithinBrief(situation: Situation): Found<'within.usableLater'>[] {
  const { usableLaterTb: wish } = situation.brief;
  const [most, room] = [situation.figures['capacity.mostTb'], roomFor(situation)];
  const drives = dataDrives(situation.units);
  if (wish === undefined || !most || !room) return [];
  const counts = new Map<PartOf<'drive'>, number>();
  for (const { part } of drives) counts.set(part, (counts.get(part) ?? 0) + 1);
  const commonest = memberAt(
    [...counts].sort((a, b) => b[1] - a[1]),
    0,
  )[0];
  const eachTb = commonest.capacityBytes / 1e12;
  const have = most.value + room.more * eachTb;
  return have >= wish
    ? []
    : [
        {
          severity: 'note',
          at: [],
          gap: { have, limit: wish, gap: have - wish, unit: 'TB' },
          facts: { more: room.more, drive: commonest.name, failures: situation.brief.failuresSurvived ?? 0 },
        },
      ];
}

export function networkWithinBrief(situation: Situation): Found<'within.network'>[] {
  const wish = situation.brief.networkGbPerS;
  const boards = ofKind(situation.units, 'board');
  if (wish === undefined || boards.length === 0) return [];
  const fastest = Math.max(
    0,
    ...[...boards, ...ofKind(situation.units, 'networkCard')].flatMap((unit) =>
      unit.part.networkPorts.map((port) => port.gbPerS),
    ),
  );
  return fastest < wish
    ? [
        {
          severity: 'caution',
          at: boards.map((unit) => ({ unit: unit.id })),
          gap: { have: fastest, limit: wish, gap: fastest - wish, unit: 'Gb/s' },
          facts: {},
        },
      ]
    : [];
}

/** Parts to buy whose price is in a currency without a rate, or that have none: the sum is without them. */
export function otherCurrency(situation: Situation): Found<'within.currency'>[] {
  const { context } = situation;
  const listedIn = ({ item, units }: MoneyLine) => (item.price ?? memberAt(units, 0).part.price)?.currency;
  const left = moneyLines(situation.units).filter((line) => {
    const currency = listedIn(line);
    return line.item.deal !== 'owned' && (currency === undefined || rateOf(context, currency) === null);
  });
  if (left.length === 0) return [];
  const others = left.flatMap((line) => listedIn(line) ?? []);
  return [
    {
      severity: 'caution',
      at: left.flatMap(({ units }) => units.map(({ id }) => ({ unit: id }))),
      facts: { count: left.length, currency: context.currency, others: [...new Set(others)].sort().join(' and ') },
    },
  ];
}
