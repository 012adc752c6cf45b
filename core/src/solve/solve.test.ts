import fc from 'fast-check';
import { catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { printSpot } from '../build/layout';
import { checkLayout } from './checkLayout';
import { problemOf } from './problem';
import { solve } from './solve';
import { settleEdit } from './settle';

const solved = (made: Fixture) => solve(problemOf(made.build), made.build.layout);
const cables = (made: Fixture) => made.build.layout.wires.map((wire) => `${wire.cable} ×${wire.device.length}`);

test('every part finds its place in a plain machine', () => {
  const outcome = solved(cube().add('barge-8', 4));
  expect(outcome).toMatchObject({ status: 'solved', unplaced: [], unconnected: [], conflict: null });
});

test('four SATA ports reach four bays of one backplane connector in reverse', () => {
  expect(cables(cube().add('barge-8', 4))).toEqual(['reverse:sata:sff-8643 ×1']);
});

test('an HBA feeds both backplane connectors straight and leaves the SATA ports to bare bays', () => {
  expect(cables(cube().add('tern-8i').add('barge-8', 8).add('pike-960', 2)).sort()).toEqual([
    'straight:sata:sata ×1',
    'straight:sata:sata ×1',
    'straight:sff-8643:sff-8643 ×1',
    'straight:sff-8643:sff-8643 ×1',
  ]);
});

test('bare bays on a four-lane port take a forward breakout', () => {
  const tower = fixture().add('steading-t9').add('plover-a6').add('tern-8i').add('sluice-8', 3).add('barge-8', 3);
  expect(solved(tower).unconnected).toEqual([]);
  // A SATA drive takes the fourth tail: a cable less to buy.
  expect(cables(tower)).toContain('forward:sff-8643:sff-8482 ×4');
});

test('a SAS drive never hangs on a SATA port', () => {
  const tower = fixture().add('steading-t9').add('plover-a6').add('sluice-8', 1);
  expect(solved(tower).unconnected.map((unit) => unit.part.name)).toEqual(['Sluice 8 TB SAS, used']);
});

test('an M.2 module that switches ports off goes where it switches none off when drives need them', () => {
  const both = tweak('wren-c8', {
    m2Sockets: [
      {
        key: 'm2b',
        label: 'M.2 socket 2',
        lengthsMm: [80],
        gen: 3,
        lanes: 4,
        carries: ['pcie', 'sata'],
        owner: 'chipset',
      },
      {
        key: 'm2a',
        label: 'M.2 socket 1',
        lengthsMm: [80],
        gen: 4,
        lanes: 4,
        carries: ['pcie', 'sata'],
        owner: 'processor',
      },
    ],
  });
  const made = cube(both).add('reed-250', 1, { at: ['u4/m2b'] });
  expect(made.seat('reed-250')).toBe('m2b');
  const full = made.add('barge-8', 4);
  expect(full.seat('reed-250')).toBe('m2a');
  expect(solved(full).unconnected).toEqual([]);
});

test('a held module stays though drives go without, and the shortage names it', () => {
  const made = cube().add('reed-250', 1, { at: ['u4/m2b'] });
  const held = made
    .edit({ type: 'place.hold', unit: made.unit('reed-250'), spot: { host: 'u4', key: 'm2b' } })
    .add('barge-8', 4);
  const outcome = solved(held);
  expect(held.seat('reed-250')).toBe('m2b');
  expect(outcome.unconnected).toHaveLength(2);
  expect(outcome.conflict).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ kind: 'portsOff', count: 2 }),
      expect.objectContaining({ kind: 'ports', count: 2 }),
      expect.objectContaining({ kind: 'drives', count: 4 }),
    ]),
  );
});

test('a held drive stays where it is held, though earlier bays would take it and spare a cable', () => {
  const rack = fixture().add('gable-24').add('gannet-e8').add('tern-16i').add('barge-8', 16);
  const unit = rack.unit('barge-8', 1);
  const held = rack.edit({ type: 'place.hold', unit, spot: { host: rack.unit('gable-24'), key: 'front', n: 24 } });
  expect(held.seat('barge-8', 1)).toBe('front.24');
  expect(solved(held)).toMatchObject({ status: 'solved' });
  expect(solve(problemOf(held.build), { ...held.build.layout, wires: [] }).layout.at[unit]).toMatchObject({
    spot: { n: 24 },
    how: 'held',
  });
});

test('adding a drive moves nobody who has a place', () => {
  const before = cube().add('barge-8', 3);
  const after = before.add('barge-12', 2);
  for (const [unit, seat] of Object.entries(before.build.layout.at))
    expect(printSpot(after.build.layout.at[unit]!.spot)).toBe(printSpot(seat.spot));
});

test('a put place that goes away sleeps with its reason and wakes when it is back', () => {
  const made = cube().add('pike-960', 1, { at: ['u2/roof.3'] });
  const unit = made.unit('pike-960');
  const without = made.edit({
    type: 'change.add',
    change: { id: 'x', kind: 'option', host: made.unit('larder-8'), key: 'noRoof' },
  });
  expect(without.build.layout.dormant[unit]).toMatchObject({
    spot: { key: 'roof', n: 3 },
    reason: 'that place is not there now',
  });
  expect(without.seat('pike-960')).toMatch(/^cage/);
  const back = without.edit({ type: 'change.remove', id: 'x' });
  expect(back.seat('pike-960')).toBe('roof.3');
  expect(back.build.layout.dormant).toEqual({});
});

test('cages in 5.25-inch bays host the drives they are for', () => {
  const tower = fixture().add('steading-t9').add('plover-a6').add('crib-5').add('barge-8', 6);
  expect(solved(tower)).toMatchObject({ status: 'solved' });
  expect(
    [1, 2, 3, 4, 5, 6].map((n) => tower.seat('barge-8', n)).filter((seat) => seat?.startsWith('cage')),
  ).toHaveLength(6);
});

test('without a chassis everything lies on the table', () => {
  expect(solved(fixture().add('barge-8', 5)).unplaced).toHaveLength(5);
});

test('a settled build is settled: settling again changes nothing', () => {
  expect(settleEdit(cube().add('tern-8i').add('barge-8', 8).build)).toBeNull();
});

const kinds = [
  'barge-8',
  'sluice-8',
  'pike-960',
  'reed-250',
  'stickle-500',
  'tern-8i',
  'stilt-4',
  'cradle-2',
  'crib-5',
  'hush-120',
  'clew-16e',
  'skein-10',
];
const kits = fc.record({
  base: fc.constantFrom(
    ['larder-8', 'wren-c8'],
    ['steading-t9', 'plover-a6'],
    ['gable-24', 'gannet-e8'],
    ['plank-1u', 'wren-d6'],
  ),
  parts: fc.array(fc.tuple(fc.constantFrom(...kinds), fc.integer({ min: 1, max: 6 })), { maxLength: 7 }),
});

test('whatever is in the kit: the layout passes the checker, places are used once, the same question has the same answer', () => {
  fc.assert(
    fc.property(kits, ({ base, parts }) => {
      const made = parts.reduce((so, [sheet, count]) => so.add(sheet, count), fixture().add(base[0]).add(base[1]));
      const problem = problemOf(made.build);
      expect(checkLayout(problem, made.build.layout)).toEqual([]);
      const cold = solve(problem, { at: {}, wires: [], plugs: [], dormant: {} });
      expect(checkLayout(problem, cold.layout)).toEqual([]);
      expect(solve(problem, { at: {}, wires: [], plugs: [], dormant: {} })).toEqual(cold);
      expect(solved(made).unconnected.length).toBeLessThanOrEqual(cold.unconnected.length + 1);
    }),
    { numRuns: 60, seed: 5 },
  );
});

test('a port that shares nothing never leaves more drives without one', () => {
  fc.assert(
    fc.property(kits, ({ base, parts }) => {
      const made = parts.reduce((so, [sheet, count]) => so.add(sheet, count), fixture().add(base[0]).add(base[1]));
      const before = solved(made).unconnected.length;
      const board = made.build.sheets[base[1]]!;
      const connectors = [
        ...(catalogue.archetypes[board.archetype] as { connectors: object[] }).connectors.slice(0, 0),
        ...((board as { connectors?: object[] }).connectors ??
          (catalogue.archetypes[board.archetype] as { connectors: object[] }).connectors),
        {
          key: 'extra',
          count: 1,
          kind: 'sata',
          lanes: 1,
          carries: ['sata'],
          gbPerLane: 6,
          role: 'host',
          side: 'inside',
        },
      ];
      const more = made.set({ sheets: { ...made.build.sheets, [board.id]: { ...board, connectors } as never } });
      expect(solve(problemOf(more.build), more.build.layout).unconnected.length).toBeLessThanOrEqual(before);
    }),
    { numRuns: 40, seed: 9 },
  );
});
