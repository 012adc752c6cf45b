import { isNonEmpty, mapNonEmpty, type NonEmpty } from '../lists';
import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import type { Catalogue } from '../parts/catalogue';
import { resolve } from '../parts/resolve';
import { compareLevels, reckon } from '../testing/reckon';
import { drawn } from '../testing/drawn';
import { catalogue, fixture, tweak, type Fixture } from '../testing/fixture';
import { checkLayout } from './checkLayout';
import { demandsFor } from '../links/demands';
import { CABLE_KINDS } from '../links/cableKinds';
import { mismatch } from '../machine/accepts';
import { DRIVE_DATA_KEY, driveConnector, hostPorts, type HostPort } from '../links/ports';
import { problemOf, type Problem } from './problem';
import { solve } from './solve';
import { refsOf, spotsOf } from '../machine/spots';
import { ofKind, seatSpot, type PlannedUnit } from '../machine/units';

const EMPTY: Layout = { at: {}, wires: [], plugs: [], dormant: {} };

/**
 * Every valid layout of a small machine with all but its drives where the solver put it: each drive in each bay, each
 * cable on each port.
 */
function* everyLayout(problem: Problem, base: Layout): Generator<Layout> {
  const { units } = problem;
  const drives = ofKind(units, 'drive');
  const others = Object.fromEntries(Object.entries(base.at).filter(([id]) => !drives.some((drive) => drive.id === id)));
  const bays = units
    .filter((unit) => others[unit.id])
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .filter((group) => group.type === 'bay')
    .flatMap((group) => refsOf(group).map((ref) => ({ ref, group })));
  const ports = hostPorts(units, (unit) => seatSpot({ at: others }, unit), base.modes).filter(
    (port) => port.lanes > 0 && port.inside,
  );
  const seat = function* (i: number, at: Layout['at']): Generator<Layout['at']> {
    if (i === drives.length) {
      yield at;
      return;
    }
    for (const { ref, group } of bays)
      if (!mismatch(drives[i]!.part, group) && !Object.values(at).some((one) => printSpot(one.spot) === printSpot(ref)))
        yield* seat(i + 1, { ...at, [drives[i]!.id]: { spot: ref, how: 'solved' } });
    yield* seat(i + 1, at);
  };
  for (const at of seat(0, others))
    for (const wires of everyWiring(units, at, ports)) {
      const layout = { ...EMPTY, at, wires };
      if (checkLayout(problem, layout).length === 0) yield layout;
    }
}

type End = { readonly ref: SpotRef; readonly kind: string; readonly lanes: readonly number[] };

/**
 * Cables for the ends there are: each goes without, straight on a port, on a tail of a breakout, or joins ports in
 * reverse. Whether a way is valid the checker says.
 */
function* everyWiring(units: readonly PlannedUnit[], at: Layout['at'], ports: readonly HostPort[]): Generator<Wire[]> {
  const ends = new Map<string, { ref: SpotRef; kind: string; lanes: number[] }>();
  for (const demand of demandsFor(units, { at })) {
    const ref = demand.kind === 'bare' ? { host: demand.unit.id as string, key: DRIVE_DATA_KEY } : demand.target.ref;
    const end = ends.get(printSpot(ref)) ?? {
      ref,
      kind: demand.kind === 'bare' ? driveConnector(demand.drive) : demand.target.kind,
      lanes: [],
    };
    if (demand.kind === 'backplane') end.lanes.push(demand.lane);
    ends.set(printSpot(ref), end);
  }
  const list: End[] = [...ends.values()];
  const go = function* (i: number, wires: Wire[]): Generator<Wire[]> {
    if (i === list.length) {
      yield wires;
      return;
    }
    const end = list[i]!;
    yield* go(i + 1, wires);
    const busy = new Set(wires.flatMap((wire) => wire.host.map(printSpot)));
    for (const cable of CABLE_KINDS) {
      if (cable.shape === 'reverse') {
        if (cable.device === end.kind)
          for (const joined of someOnPorts(
            end.lanes,
            ports.filter((port) => port.kind === cable.host && !busy.has(port.name)),
          ))
            yield* go(i + 1, [
              ...wires,
              {
                cable: cable.id,
                host: mapNonEmpty(joined, ({ port }) => port.ref),
                device: [end.ref],
                lanes: joined.map(({ lane }) => lane),
                how: 'solved',
              },
            ]);
        continue;
      }
      if (cable.device !== end.kind && !(cable.device === 'sff-8482' && end.kind === 'sata')) continue;
      for (const port of ports) {
        if (port.kind !== cable.host) continue;
        if (!busy.has(port.name))
          yield* go(i + 1, [
            ...wires,
            {
              cable: cable.id,
              host: [port.ref],
              device: [end.ref],
              ...(cable.shape === 'forward' ? { lanes: [1] } : {}),
              how: 'solved',
            },
          ]);
        const begun =
          cable.shape === 'forward'
            ? wires.find(
                (wire) => wire.cable === cable.id && printSpot(wire.host[0]) === port.name && wire.device.length < 4,
              )
            : undefined;
        if (begun)
          yield* go(
            i + 1,
            wires.map((wire) =>
              wire === begun
                ? { ...wire, device: [...wire.device, end.ref], lanes: [...wire.lanes!, wire.lanes!.length + 1] }
                : wire,
            ),
          );
      }
    }
  };
  yield* go(0, []);
}

/** Every way of giving some of the lanes a port each, at least one. */
function someOnPorts(
  lanes: readonly number[],
  ports: readonly HostPort[],
): NonEmpty<{ lane: number; port: HostPort }>[] {
  const go = (i: number, free: readonly HostPort[]): { lane: number; port: HostPort }[][] =>
    i === lanes.length
      ? [[]]
      : [
          ...go(i + 1, free),
          ...free.flatMap((port) =>
            go(
              i + 1,
              free.filter((one) => one !== port),
            ).map((rest) => [{ lane: lanes[i]!, port }, ...rest]),
          ),
        ];
  return go(0, ports).filter(isNonEmpty);
}

/**
 * A small cube: `cage` bays behind connectors of two, `roof` bare 2.5-inch bays, so many SATA ports and four-lane
 * ports; flat roof bays take no drive without a word.
 */
function small(
  cage: number,
  roof: number,
  sata: number,
  wide: number,
  slow: boolean,
  empty: boolean,
  flat: boolean,
): Catalogue {
  const part = (id: string) => resolve(catalogue.sheets[id]!, catalogue.archetypes[catalogue.sheets[id]!.archetype]!);
  const chassis = part('larder-8');
  const board = part('wren-c8');
  const card = part('tern-8i');
  if (chassis.kind !== 'chassis' || board.kind !== 'board' || card.kind !== 'controller')
    throw new Error('the demo catalogue has other kinds');
  const [front, top] = chassis.bayGroups;
  const direct = front!.backplane!;
  const cageGroup = {
    ...front!,
    rows: cage,
    columns: 1,
    backplane: {
      ...direct,
      baysPerConnector: 2,
      connectors: direct.connectors.map((one) => ({ ...one, count: Math.max(1, Math.ceil(cage / 2)) })),
    },
  };
  const bayGroups = [
    ...(cage ? [cageGroup] : []),
    ...(roof ? [{ ...top!, rows: roof, columns: 1, ...(flat ? { maxDriveHeightMm: 5 } : {}) }] : []),
  ];
  const connectors = board.connectors.flatMap((one) =>
    one.key !== 'sata' ? [one] : sata ? [{ ...one, count: sata, gbPerLane: slow ? 3 : 6 }] : [],
  );
  const cards = card.connectors.map((one) => ({ ...one, count: Math.max(1, wide) }));
  return tweak(
    'tern-8i',
    { connectors: cards },
    tweak(
      'wren-c8',
      { connectors, inTheBox: empty ? [] : board.inTheBox },
      tweak('larder-8', { bayGroups, options: [] }),
    ),
  );
}

function instance(seed: number): { made: Fixture; hint: Layout } {
  const next = drawn(seed);
  const wide = next(3);
  const from = small(next(4), next(3), next(4), wide, next(4) === 0, next(2) === 0, next(4) === 0);
  let made = fixture(from).add('larder-8').add('wren-c8');
  if (wide) made = made.add('tern-8i');
  const many = 1 + next(3);
  for (let i = 0; i < many; i++) {
    const sheet = ['barge-8', 'pike-960', 'pike-960', 'sluice-8', 'coot-2'][next(5)]!;
    made = made.add(sheet, 1, { role: (['boot', 'spare', 'data', 'data'] as const)[next(4)]! });
  }
  if (next(3) === 0) return { made, hint: EMPTY };
  // The others were laid out before, anyhow: a layout drawn from those there are, some drives put or held, one gone
  // from its place.
  const problem = problemOf(made.build);
  const ids = new Set(ofKind(problem.units, 'drive').map((unit) => unit.id as string));
  const before = nth(everyLayout(problem, made.build.layout), next(400));
  const at = Object.fromEntries(
    Object.entries(before.at).flatMap(([id, one]) =>
      !ids.has(id)
        ? [[id, one]]
        : next(5) === 0
          ? []
          : [[id, { ...one, how: (['solved', 'solved', 'put', 'held'] as const)[next(4)]! }]],
    ),
  );
  return {
    made,
    hint: {
      ...before,
      at,
      wires:
        next(3) === 0
          ? []
          : before.wires.filter((wire) => wire.device.every((end) => !ids.has(end.host) || at[end.host])),
    },
  };
}

/** The n-th of a sequence, or its last. */
function nth(layouts: Iterable<Layout>, n: number): Layout {
  let last = EMPTY;
  let i = 0;
  for (const layout of layouts) {
    last = layout;
    if (i++ === n) break;
  }
  return last;
}

test.each(Array.from({ length: 200 }, (_, i) => i + 1))(
  'small machine %i: no layout there is is better than the solved one',
  (seed) => {
    const { made, hint } = instance(seed);
    const problem = problemOf(made.build);
    const { layout, status } = solve(problem, hint);
    expect(status).not.toBe('undecided');
    expect(checkLayout(problem, layout)).toEqual([]);
    const got = reckon(problem, hint, layout);
    const held = Object.entries(hint.at).filter(([id, seat]) => seat.how === 'held' && layout.at[id]);
    let best = got;
    let tried = 0;
    for (const other of everyLayout(problem, layout)) {
      tried++;
      if (held.some(([id, seat]) => !other.at[id] || printSpot(other.at[id].spot) !== printSpot(seat.spot))) continue;
      const levels = reckon(problem, hint, other);
      if (compareLevels(levels, best) < 0) best = levels;
    }
    expect(tried).toBeGreaterThan(0);
    expect(got).toEqual(best);
  },
);
