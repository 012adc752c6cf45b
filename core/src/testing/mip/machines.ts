import { printSpot, type Layout, type Seat } from '../../build/layout';
import type { Catalogue } from '../../parts/catalogue';
import type { BayGroup } from '../../parts/chassisValues';
import type { Slot } from '../../parts/boardValues';
import { resolve } from '../../parts/resolve';
import { checkLayout } from '../../solve/checkLayout';
import { problemOf, type Problem } from '../../solve/problem';
import { solve } from '../../solve/solve';
import { groupAt } from '../../machine/spotAt';
import { refsOf, spotsOf } from '../../machine/spots';
import { mismatch } from '../../machine/accepts';
import { isCard, isKind, unitsById, type PlannedUnit } from '../../machine/units';
import { drawn } from '../drawn';
import { catalogue, fixture, tweak } from '../fixture';

type Draw = (below: number) => number;
export type Feature = 'expander' | 'parted' | 'nested' | 'held';
export type Machine = { readonly problem: Problem; readonly hint: Layout; readonly features: ReadonlySet<Feature> };

const EMPTY: Layout = { at: {}, wires: [], plugs: [], dormant: {} };
const chance = (next: Draw, share: number) => next(100) < share;
const one = <T>(next: Draw, list: readonly T[]): T => list[next(list.length)]!;

/**
 * A drawn machine of at most so many drives and the layout it had: cages behind connectors or an expander, bare and
 * wide bays with adapters, slots that part, sockets that take ports, cards that do not all fit, drives more
 * than bays or ports. The same seed gives the same machine.
 */
export function machine(seed: number, mostDrives = 6): Machine {
  const next = drawn(seed);
  const features = new Set<Feature>();
  const from = sheets(next, features);
  let made = fixture(from).add('larder-8').add('wren-c8');
  const dealt = cards(next, features);
  for (const card of dealt) made = made.add(card);
  if (features.has('nested')) {
    made = made.add(one(next, ['cradle-2', 'crib-3', 'crib-4s', 'cradle-1w', 'crib-6', 'crib-u2']));
    if (chance(next, 40)) made = made.add(one(next, ['cradle-2', 'cradle-2', 'cradle-drawer']));
  } else if (chance(next, 12) && !dealt.includes('weir-24')) {
    // An expander card that may stand free in either of two boxes is not written down as a program.
    made = made.add('loft-16').add('tern-8e');
    features.add('expander');
  }
  for (let i = one(next, [0, 0, 1, 1, 2]); i > 0; i--)
    made = made.add(one(next, ['reed-250', 'stickle-500', 'stickle-500']), 1, {
      role: one(next, ['boot', 'data', 'cache'] as const),
    });
  const many = 1 + next(mostDrives);
  for (let i = 0; i < many; i++)
    made = made.add(
      one(next, [
        'barge-8',
        'barge-8',
        'barge-12',
        'pike-960',
        'pike-960',
        'sluice-8',
        'sluice-8',
        'coot-2',
        ...(features.has('nested') ? ['wels-1920'] : []),
      ]),
      1,
      { role: one(next, ['data', 'data', 'data', 'boot', 'spare'] as const) },
    );
  const problem = problemOf(made.build);
  return { problem, hint: chance(next, 30) ? EMPTY : laidBefore(problem, next, features), features };
}

function sheets(next: Draw, features: Set<Feature>): Catalogue {
  const part = (id: string) => resolve(catalogue.sheets[id]!, catalogue.archetypes[catalogue.sheets[id]!.archetype]!);
  const [chassis, board] = [part('larder-8'), part('wren-c8')];
  if (chassis.kind !== 'chassis' || board.kind !== 'board') throw new Error('the demo catalogue has other kinds');
  const [front, roof] = chassis.bayGroups;
  const direct = front!.backplane!;
  const feed = direct.connectors[0];
  const cage = 1 + next(5);
  const per = 2 + next(3);
  const groups: BayGroup[] = [
    {
      ...front!,
      rows: cage,
      columns: 1,
      backplane: {
        ...direct,
        ...(chance(next, 20) ? { gbPerLane: 3 } : {}),
        baysPerConnector: per,
        connectors: [{ ...feed, count: Math.ceil(cage / per) }],
      },
    },
  ];
  if (chance(next, 25)) {
    features.add('expander');
    groups[chance(next, 50) ? 0 : 1] = {
      ...front!,
      key: 'row',
      label: 'Row',
      rows: 2 + next(5),
      columns: 1,
      backplane: { ...direct, type: 'expander', connectors: [{ ...feed, count: 1 + next(2) }] },
    };
  }
  if (chance(next, 60))
    groups.push({ ...roof!, rows: 1 + next(3), columns: 1, ...(chance(next, 25) ? { maxDriveHeightMm: 5 } : {}) });
  if (chance(next, 30)) {
    features.add('nested');
    groups.push({
      ...front!,
      key: 'wide',
      label: 'Wide bays',
      rows: 1 + next(3),
      columns: 1,
      takes: ['5.25'],
      backplane: null,
    });
  }
  const parted = chance(next, 35);
  if (parted) features.add('parted');
  const pitch = 1 + next(2);
  const slots = Array.from({ length: 1 + next(4) }, (_, i): Slot => {
    const lanes = one(next, [4, 8, 16, 16] as const);
    return {
      ...board.slots[0]!,
      key: `pcie${i + 1}`,
      position: i * pitch,
      lanes,
      wiredLanes: one(next, [lanes, lanes, Math.min(lanes, 4)]),
      gen: 3 + next(2),
      openEnd: chance(next, 30),
      bifurcates: parted && chance(next, 60) ? ['x4x4', 'x4x4x4x4'] : [],
    };
  });
  const sata = 1 + next(4);
  const connectors = board.connectors.flatMap((each) =>
    each.key === 'sata' ? [{ ...each, count: sata, gbPerLane: chance(next, 25) ? 3 : 6 }] : [],
  );
  // Some boards bring four SATA lanes out on one connector.
  if (chance(next, 20))
    connectors.push({ ...feed, key: 'mini', count: 1, carries: ['sata'], gbPerLane: 6, role: 'host' });
  const rules = parted
    ? [
        {
          when: { key: 'm2b', as: one(next, ['sata', 'any'] as const) },
          then: [{ key: 'sata', ns: [sata], lanes: 0 }],
        },
        ...(chance(next, 50)
          ? [{ when: { key: 'm2a', as: 'any' as const }, then: [{ key: slots.at(-1)!.key, lanes: one(next, [0, 4]) }] }]
          : []),
      ]
    : [];
  const modes =
    parted && chance(next, 40)
      ? [
          { key: 'wide', label: 'Wide slot', lanes: { m2a: 0 } },
          { key: 'both', label: 'Both', lanes: { pcie1: 4 } },
        ]
      : [];
  const changes: [string, Record<string, unknown>][] = [
    [
      'larder-8',
      {
        bayGroups: groups,
        options: [],
        openings: [{ ...chassis.openings[0]!, count: 1 + next(4) }],
        inTheBox: chance(next, 50) ? chassis.inTheBox : [],
      },
    ],
    [
      'wren-c8',
      {
        connectors,
        slots,
        rules,
        modes,
        inTheBox: chance(next, 50) ? board.inTheBox : [],
        // Now and then the last two ports are on a chip of their own, on one slow lane.
        ...(sata > 1 && chance(next, 30)
          ? { addedChips: [{ key: 'sata', ns: [sata - 1, sata], lanes: 1, gen: 1 + next(2) }] }
          : {}),
      },
    ],
  ];
  // Cards that take few drives, however many connectors an expander turns theirs into.
  if (chance(next, 20)) changes.push([one(next, ['tern-8i', 'tern-6g8']), { mostDevices: 1 + next(4) }]);
  return changes.reduce((so, [id, values]) => tweak(id, values, so), catalogue);
}

function cards(next: Draw, features: Set<Feature>): string[] {
  const list = Array.from({ length: one(next, [0, 1, 1, 2]) }, () =>
    one(next, ['tern-8i', 'tern-8i', 'tern-6g8', 'stilt-2', 'stilt-4', 'skein-10x2', 'skein-25']),
  );
  if (features.has('parted') && chance(next, 70)) list.push(one(next, ['punt-2', 'punt-2', 'punt-1', 'skein-25']));
  if (chance(next, 20)) {
    list.push('weir-24', one(next, ['tern-8i', 'tern-8i', 'tern-6g8']));
    features.add('expander');
  }
  if (chance(next, 10)) list.push('hoist-1u');
  if (chance(next, 25)) list.push(one(next, ['stilt-m5', 'stilt-m6']));
  return list;
}

/**
 * Where everything was before: units anyhow in places that take them, wired from there; some put or held, some new
 * since.
 */
function laidBefore(problem: Problem, next: Draw, features: Set<Feature>): Layout {
  const { units } = problem;
  const byId = unitsById(units);
  const free = units.filter(
    (unit) =>
      !unit.builtIn && (isCard(unit.part) || isKind(unit, 'drive') || isKind(unit, 'adapter') || isKind(unit, 'riser')),
  );
  const settled = solve(problem, EMPTY).layout;
  let at: Layout['at'] = Object.fromEntries(
    Object.entries(settled.at).filter(([id]) => !free.some((unit) => unit.id === id)),
  );
  // Hosts first, so that what they hold finds its place there.
  for (const unit of [...free].sort((a, b) => rank(a) - rank(b))) {
    const places = units
      .filter((host) => at[host.id] || host.builtIn)
      .flatMap((host) => spotsOf(host.id, host.part))
      .filter((group) => group.type !== 'table' && !mismatch(unit.part, group))
      .flatMap(refsOf);
    for (let tries = 0; tries < 4 && places.length > 0; tries++) {
      const seat: Seat = { spot: one(next, places), how: 'held' };
      const tried = { ...at, [unit.id]: seat };
      if (
        checkLayout(problem, { ...EMPTY, at: tried, ...(settled.modes ? { modes: settled.modes } : {}) }).length === 0
      ) {
        at = tried;
        break;
      }
    }
  }
  const before = solve(problem, { ...EMPTY, at, ...(settled.modes ? { modes: settled.modes } : {}) }).layout;
  const kept = Object.entries(before.at).flatMap(([id, seat]): [string, Seat][] => {
    if (!free.some((unit) => unit.id === id)) return [[id, seat]];
    if (chance(next, 20)) return [];
    const how = one(next, ['solved', 'solved', 'solved', 'put', 'held'] as const);
    if (how === 'held') features.add('held');
    return [[id, { ...seat, how }]];
  });
  const hint: Layout = {
    ...before,
    dormant: {},
    at: Object.fromEntries(kept),
    wires: chance(next, 25) ? [] : before.wires,
  };
  // A drive taken out a while ago may sleep for a place another has now.
  const sleeper = chance(next, 20) ? units.find((unit) => isKind(unit, 'drive') && !hint.at[unit.id]) : undefined;
  const wanted =
    sleeper &&
    Object.values(hint.at).find(({ spot }) => {
      const group = groupAt(byId, spot);
      return group && !mismatch(sleeper.part, group);
    });
  return sleeper && wanted
    ? {
        ...hint,
        dormant: { [sleeper.id]: { spot: wanted.spot, how: 'put', reason: `${printSpot(wanted.spot)} was another's` } },
      }
    : hint;
}

const rank = (unit: PlannedUnit): number =>
  isKind(unit, 'riser') ? 0 : isKind(unit, 'carrier') || isKind(unit, 'adapter') ? 1 : isCard(unit.part) ? 2 : 3;
