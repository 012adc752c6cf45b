import { wantsAside } from '../../machine/aside';
import { printSpot, type Layout, type SpotRef } from '../../build/layout';
import { boxAmong } from '../../machine/hosts';
import { limitFor, needsRiser } from '../../geometry/clearance';
import { mismatch } from '../../machine/accepts';
import { protocolOf } from '../../links/ports';
import { cardWishMBps, PCIE_LANE_MBPS, dealtMBps } from '../../links/rates';
import { refsOf, spotsOf, type SpotGroup } from '../../machine/spots';
import { cardReachMm, hasPlaces, isCard, isKind, ofKind, unitsById, type PlannedUnit } from '../../machine/units';
import { boxesBefore, boxKey, rankOf, wishesIn } from '../reckon';
import { ones, type Levels } from './levels';
import type { Program } from './program';

/** A unit at one place: yes or no. `covers` are all the places it takes. */
export type Option = {
  readonly unit: PlannedUnit;
  readonly ref: SpotRef;
  readonly group: SpotGroup;
  readonly yes: number;
  readonly covers: readonly string[];
};
type Options = ReadonlyMap<string, readonly Option[]>;
/** Lanes a place or port has while all of `when` are yes; the fewest of several holds. */
type Cut = { readonly when: readonly number[]; readonly lanes: number };

export type Seats = {
  /** Ways to seat each unit that is free; a unit not in it sits where the base says. */
  readonly options: ReadonlyMap<string, readonly Option[]>;
  readonly byId: ReadonlyMap<string, PlannedUnit>;
  readonly fixedSpot: (unit: PlannedUnit) => SpotRef | undefined;
  readonly cuts: (board: PlannedUnit, key: string, n: number, full: number) => readonly Cut[];
  /** The box a unit is in wherever it sits; throws where that is not one. */
  readonly boxOf: (unit: PlannedUnit) => string | null;
};

const isFree = (unit: PlannedUnit): boolean =>
  !unit.builtIn &&
  (isCard(unit.part) ||
    isKind(unit, 'riser') ||
    isKind(unit, 'adapter') ||
    (isKind(unit, 'drive') && unit.part.size !== 'usb'));

/**
 * Writes down who may sit where, as docs/decisions/placement.md has it: chassis, boards and what wants its own kind of
 * place sit where `base` says.
 */
export function encodeSeats(
  program: Program,
  levels: Levels,
  units: readonly PlannedUnit[],
  hint: Layout,
  base: Layout['at'],
): Seats {
  const byId = unitsById(units);
  const fixedSpot = (unit: PlannedUnit) => unit.builtIn?.spot ?? (isFree(unit) ? undefined : base[unit.id]?.spot);
  const hosts = units.filter((unit) => isFree(unit) || fixedSpot(unit));
  const taken = new Set(
    units.flatMap((unit) =>
      unit.builtIn?.fixed ? [printSpot(unit.builtIn.spot), `${unit.builtIn.spot.host}/${unit.builtIn.spot.key}`] : [],
    ),
  );
  const free = wantsAside(units);
  const options = new Map<string, Option[]>();
  for (const unit of units.filter(isFree)) {
    options.set(
      unit.id,
      hosts
        .flatMap((host) =>
          host === unit
            ? []
            : spotsOf(host.id, host.part).filter(
                (group) =>
                  ['bay', 'slot', 'm2', ...(free ? ['aside'] : [])].includes(group.type) && !mismatch(unit.part, group),
              ),
        )
        .flatMap((group) => {
          const span = isKind(unit, 'adapter') ? unit.part.span : 1;
          const refs = refsOf(group);
          return refs.slice(0, refs.length - span + 1).flatMap((ref, from): Option[] => {
            const covers = [...refs.slice(from, from + span).map(printSpot), ...under(unit, ref, byId)];
            return covers.some((name) => taken.has(name)) ? [] : [{ unit, ref, group, yes: program.yes(), covers }];
          });
        }),
    );
  }
  for (const unit of units)
    if (!unit.builtIn && !isFree(unit) && hasPlaces(unit) && !base[unit.id]) levels.constant('restOut', 1);
  const all = [...options.values()].flat();
  seatOnce(program, levels, units.filter(isFree), options, all);
  const lanes = encodeLanes(program, levels, units, options, all);
  for (const option of all) encodeFit(program, levels, option, options, byId, fixedSpot);
  encodeHeat(program, levels, all, options, byId);
  encodeWishes(program, levels, units, hint, options, base);
  const boxOf = (unit: PlannedUnit): string | null => {
    const boxes = isFree(unit)
      ? new Set(
          options
            .get(unit.id)!
            .map(
              (option) =>
                boxAmong(option.ref.host, byId, (one) => fixedSpot(one) ?? options.get(one.id)?.[0]?.ref)?.id ?? null,
            ),
        )
      : new Set([boxAmong(unit.id, byId, fixedSpot)?.id ?? null]);
    boxes.delete(null);
    if (boxes.size > 1) throw new Error(`${unit.id} could be in two boxes: not written down here`);
    return [...boxes][0] ?? null;
  };
  return { options, byId, fixedSpot, cuts: lanes, boxOf };
}

/** Slots a thick card lies over besides its own. */
function under(unit: PlannedUnit, ref: SpotRef, byId: ReadonlyMap<string, PlannedUnit>): string[] {
  const board = byId.get(ref.host)!.part;
  if (!isCard(unit.part) || board.kind !== 'board') return [];
  const from = board.slots.find((slot) => slot.key === ref.key)?.position;
  if (from === undefined) return [];
  const to = from + Math.ceil(unit.part.thickSlots);
  return board.slots
    .filter(({ position }) => position > from && position < to)
    .map((slot) => printSpot({ host: ref.host, key: slot.key }));
}

function seatOnce(
  program: Program,
  levels: Levels,
  units: readonly PlannedUnit[],
  options: Options,
  all: readonly Option[],
): void {
  const at = new Map<string, number[]>();
  for (const option of all) {
    for (const name of option.covers) at.set(name, [...(at.get(name) ?? []), option.yes]);
    // What sits in a card or adapter has a place only where that has one.
    const host = options.get(option.ref.host);
    if (host)
      program.atMost(
        [
          [option.yes, 1],
          ...ones(
            host.map(({ yes }) => yes),
            -1,
          ),
        ],
        0,
      );
  }
  for (const variables of at.values()) program.atMost(ones(variables), 1);
  for (const unit of units) {
    const mine = options.get(unit.id)!.map(({ yes }) => yes);
    const level = isCard(unit.part) ? 'cardsOut' : isKind(unit, 'drive') ? (`${rankOf(unit)}Out` as const) : 'restOut';
    if (mine.length > 0) program.atMost(ones(mine), 1);
    levels.constant(level, 1);
    levels.add(level, ...ones(mine, -1));
  }
}

/** Modes and rules of boards; what has no lanes takes nothing; what a link loses. */
function encodeLanes(
  program: Program,
  levels: Levels,
  units: readonly PlannedUnit[],
  options: Options,
  all: readonly Option[],
): Seats['cuts'] {
  const modes = new Map(
    ofKind(units, 'board').map((board) => [
      board.id as string,
      board.part.modes.map((mode) => ({ lanes: mode.lanes, yes: program.yes() })),
    ]),
  );
  for (const list of modes.values()) if (list.length > 0) program.equal(ones(list.map(({ yes }) => yes)), 1);
  const cuts: Seats['cuts'] = (board, key, n, full) => {
    if (!isKind(board, 'board')) return [{ when: [], lanes: full }];
    const byMode = modes
      .get(board.id)!
      .flatMap((mode) =>
        mode.lanes[key] !== undefined && mode.lanes[key] < full ? [{ when: [mode.yes], lanes: mode.lanes[key] }] : [],
      );
    const byRule = board.part.rules.flatMap((rule) => {
      const users = all.filter(
        ({ ref, unit }) =>
          ref.host === board.id &&
          ref.key === rule.when.key &&
          (rule.when.as === 'any' || rule.when.as === (isKind(unit, 'drive') ? protocolOf(unit.part) : 'pcie')),
      );
      return rule.then
        .filter((then) => then.key === key && (!then.ns || then.ns.includes(n)) && then.lanes < full)
        .flatMap((then) => users.map(({ yes }) => ({ when: [yes], lanes: then.lanes })));
    });
    return [{ when: [], lanes: full }, ...byMode, ...byRule];
  };
  const width = (host: PlannedUnit, group: Option['group']): (Cut & { readonly gen: number })[] => {
    const [own, ownGen] =
      group.type === 'slot'
        ? [group.slot.wiredLanes, group.slot.gen]
        : group.type === 'm2'
          ? [group.socket.lanes, group.socket.gen]
          : [0, 0];
    if (isKind(host, 'board')) return cuts(host, group.key, 1, own).map((cut) => ({ ...cut, gen: ownGen }));
    const nth = spotsOf(host.id, host.part).findIndex((one) => one.key === group.key);
    return (options.get(host.id) ?? []).flatMap((seat) => {
      const { group: below } = seat;
      if (below.type !== 'slot') return [];
      return width(unitsById(units).get(seat.ref.host)!, below).map(({ when, lanes, gen }) => ({
        when: [seat.yes, ...when],
        gen: Math.min(ownGen, gen),
        lanes: nth === 0 ? Math.min(own, lanes) : Math.min(own, shareOf(below.slot.bifurcates ?? [], lanes, nth)),
      }));
    });
  };
  for (const option of all) {
    if (option.group.type === 'bay' || option.group.type === 'aside') continue;
    const cost = program.amount();
    levels.add('mbLost', [cost, 1]);
    for (const { when, lanes, gen } of width(unitsById(units).get(option.ref.host)!, option.group)) {
      if (lanes === 0) {
        program.notAll([option.yes, ...when]);
        continue;
      }
      const loss = linkLoss(option, lanes, gen);
      if (loss > 0) program.costWhen(cost, [option.yes, ...when], loss);
    }
  }
  return cuts;
}

/** Lanes of the n-th part (from 0) a slot of so many lanes is parted into, at best. */
const shareOf = (ways: readonly string[], lanes: number, nth: number): number =>
  Math.max(
    0,
    ...ways
      .map((way) => way.slice(1).split('x').map(Number))
      .filter((way) => way.reduce((sum, one) => sum + one, 0) <= lanes)
      .map((way) => way[nth] ?? 0),
  );

function linkLoss({ unit: { part }, group }: Option, lanes: number, gen: number): number {
  if (part.kind === 'drive')
    return part.interface === 'nvme' && group.type === 'm2'
      ? Math.max(0, Math.round(dealtMBps(part) - lanes * PCIE_LANE_MBPS[Math.min(part.pcieGen ?? 3, gen)]!))
      : 0;
  if (!isCard(part) || part.kind === 'carrier' || part.kind === 'expander' || part.bus === 'pci') return 0;
  return Math.max(0, cardWishMBps(part) - Math.min(part.lanes, lanes) * PCIE_LANE_MBPS[Math.min(part.gen, gen)]!);
}

/** Millimetres, brackets, and boot modules that are not on the board. */
function encodeFit(
  program: Program,
  levels: Levels,
  option: Option,
  options: Options,
  byId: ReadonlyMap<string, PlannedUnit>,
  fixedSpot: Seats['fixedSpot'],
): void {
  const {
    unit: { part, role },
    group,
    ref,
    yes,
  } = option;
  if (part.kind === 'drive' && group.type === 'bay' && part.heightMm > group.group.maxDriveHeightMm)
    levels.add('misfits', [yes, 1]);
  if (part.kind === 'drive' && group.type === 'm2' && role === 'boot' && byId.get(ref.host)!.part.kind !== 'board')
    levels.add('bootOffBoard', [yes, 1]);
  if (!isCard(part)) return;
  for (const { board, position, when } of rearPlaces(option, options, byId)) {
    const box = boxAmong(board.id, byId, fixedSpot);
    if (!box || !isKind(box, 'chassis')) continue;
    const limit = limitFor(box.part, 'card', { slot: position, occupied: new Set() });
    const openings = box.part.openings.reduce((sum, one) => sum + one.count, 0);
    const stands = board === byId.get(ref.host) && needsRiser(box.part, position);
    if (
      !stands &&
      !(limit && cardReachMm(part) > limit.maxMm) &&
      !(part.brackets.length > 0 && position + Math.ceil(part.thickSlots) > openings)
    )
      continue;
    const cost = program.amount();
    levels.add('misfits', [cost, 1]);
    program.costWhen(cost, [yes, ...when], 1);
  }
}

/** Where a card in a slot stands at the rear wall: on a riser that depends on the riser's slot. */
function rearPlaces(
  { group, ref }: Option,
  options: Options,
  byId: ReadonlyMap<string, PlannedUnit>,
): { board: PlannedUnit; position: number; when: number[] }[] {
  const host = byId.get(ref.host)!;
  if (group.type !== 'slot') return [];
  if (isKind(host, 'board')) return [{ board: host, position: group.slot.position, when: [] }];
  return (options.get(host.id) ?? []).flatMap((seat) =>
    rearPlaces(seat, options, byId).map((one) => ({ ...one, when: [seat.yes, ...one.when] })),
  );
}

const thickOf = ({ part }: PlannedUnit): number => (isCard(part) ? Math.ceil(part.thickSlots) : 1);

/** Pairs side by side that both need moving air. */
function encodeHeat(
  program: Program,
  levels: Levels,
  all: readonly Option[],
  options: Options,
  byId: ReadonlyMap<string, PlannedUnit>,
): void {
  const hot = all.flatMap((option) =>
    isCard(option.unit.part) && option.unit.part.needsAirMPerS !== null
      ? rearPlaces(option, options, byId).map((rear) => ({ ...rear, option, thick: thickOf(option.unit) }))
      : [],
  );
  for (const one of hot)
    for (const other of hot) {
      if (
        one.option.unit === other.option.unit ||
        one.board !== other.board ||
        one.position + one.thick !== other.position
      )
        continue;
      const cost = program.amount();
      levels.add('hotPairs', [cost, 1]);
      program.costWhen(cost, [...new Set([one.option.yes, other.option.yes, ...one.when, ...other.when])], 1);
    }
}

/** Holds, puts and places left. */
function encodeWishes(
  program: Program,
  levels: Levels,
  units: readonly PlannedUnit[],
  hint: Layout,
  options: Options,
  base: Layout['at'],
): void {
  const byId = unitsById(units);
  const mayBe = (unit: PlannedUnit) => unit.builtIn?.spot ?? options.get(unit.id)?.[0]?.ref ?? base[unit.id]?.spot;
  for (const [unit, was] of boxesBefore(units, hint)) {
    const elsewhere = (options.get(unit.id) ?? []).filter(({ ref }) => boxKey(ref, byId, mayBe) !== was);
    levels.add('otherBox', ...ones(elsewhere.map(({ yes }) => yes)));
  }
  for (const [unit, wish] of wishesIn(units, hint)) {
    const mine = options.get(unit.id);
    if (!mine) continue;
    const there = mine.find(({ ref }) => printSpot(ref) === printSpot(wish.spot));
    const left = there ? [[there.yes, -1] as const] : [];
    if (wish.how === 'held' && there) program.equal([[there.yes, 1]], 1);
    levels.constant('moves', 1);
    levels.add('moves', ...left);
    if (wish.how !== 'put') continue;
    levels.constant('putsBroken', 1);
    levels.add('putsBroken', ...left);
  }
}
