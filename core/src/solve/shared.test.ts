import { printSpot, type Layout } from '../build/layout';
import { resolve, type PartOf } from '../parts/resolve';
import { catalogue, fixture, tweak } from '../testing/fixture';
import { checkLayout } from './checkLayout';
import { problemOf } from './problem';
import { scoreOf, solve } from './solve';
import { LEVELS, levelsOf } from './solver/score';
import { tracePath } from '../links/trace';

const EMPTY: Layout = { at: {}, wires: [], plugs: [], dormant: {} };
const rack = () => fixture().add('gable-24').add('gannet-e8').add('tern-8i').add('weir-24').add('barge-8', 24);

test('an expander card makes ports of its connectors: two ports of an HBA reach six backplane connectors', () => {
  const made = rack();
  const problem = problemOf(made.build);
  expect(solve(problem, EMPTY)).toMatchObject({ status: 'solved' });
  expect(checkLayout(problem, made.build.layout)).toEqual([]);
  const weir = made.unit('weir-24');
  const up = made.build.layout.wires.filter((wire) => wire.device.some((end) => end.host === weir));
  expect(up.length).toBeGreaterThanOrEqual(1);
  expect(new Set(up.map((wire) => wire.host[0].host))).toEqual(new Set([made.unit('tern-8i')]));
  const behind = made.build.layout.wires.find((wire) => wire.host[0].host === weir)!;
  expect(behind.device[0].key).toBe('front-feed');
  const lit = tracePath(problem.units, made.build.layout, weir);
  expect(lit.size).toBeGreaterThan(16);
});

test('a cable from an expander that nothing feeds is found out, and its drives count as not reached', () => {
  const made = rack();
  const weir = made.unit('weir-24');
  const layout = {
    ...made.build.layout,
    wires: made.build.layout.wires.filter((wire) => wire.device.every((end) => end.host !== weir)),
  };
  expect(checkLayout(problemOf(made.build), layout).map((fault) => fault.code)).toContain('unfed');
});

test('a slot that a rule leaves without lanes holds nothing', () => {
  const off = tweak('plover-a6', { rules: [{ when: { key: 'm2a', as: 'any' }, then: [{ key: 'pcie3', lanes: 0 }] }] });
  const tower = fixture(off)
    .add('steading-t9')
    .add('plover-a6')
    .add('stickle-500', 1)
    .add('stickle-500', 1)
    .add('tern-8i', 2);
  const seats = Object.values(tower.build.layout.at).map((seat) => printSpot(seat.spot));
  expect(seats.some((name) => name.endsWith('/m2a')) && seats.some((name) => name.endsWith('/pcie3'))).toBe(false);
  expect(checkLayout(problemOf(tower.build), tower.build.layout)).toEqual([]);
});

test('a card of two modules wants a slot that parts in two; in another the second module finds no place', () => {
  const kit = (bifurcates?: string[]) => {
    const slots = [
      {
        key: 'pcie1',
        label: 'Slot 1',
        position: 0,
        bus: 'pcie',
        lanes: 16,
        wiredLanes: 16,
        gen: 4,
        owner: 'processor',
        openEnd: false,
        ...(bifurcates ? { bifurcates } : {}),
      },
    ];
    return fixture(tweak('plover-a6', { slots, m2Sockets: [] }))
      .add('steading-t9')
      .add('plover-a6')
      .add('punt-2')
      .add('stickle-500', 2);
  };
  const unplaced = (made: ReturnType<typeof kit>) => solve(problemOf(made.build), made.build.layout).unplaced.length;
  expect([unplaced(kit()), unplaced(kit(['x8x8'])), unplaced(kit(['x4x4x4x4']))]).toEqual([1, 0, 0]);
});

test('outside ports behind a closed wall reach no shelf', () => {
  const shelf = (chassis: string) =>
    fixture().add(chassis).add('loft-16').add('wren-c8').add('tern-8e').add('sluice-8', 4);
  expect(shelf('creel-2').assess().unconnected).toHaveLength(4);
  expect(shelf('creel-2w').assess().unconnected).toEqual([]);
});

test('a riser lends its slot, no wider than the one under it', () => {
  const low = fixture().add('plank-1u').add('wren-d6').add('hoist-1u').add('tern-8i');
  const riser = low.unit('hoist-1u');
  expect(low.build.layout.at[riser]?.spot.key).toBe('pcie1');
  expect(low.build.layout.at[low.unit('tern-8i')]?.spot).toMatchObject({ host: riser, key: 'riser1' });
  expect(checkLayout(problemOf(low.build), low.build.layout)).toEqual([]);
});

test('a board is put in the mode that gives the drives their ports', () => {
  const modes = [
    { key: 'network', label: 'Ports off', lanes: { sata: 0 } },
    { key: 'storage', label: 'Ports on', lanes: {} },
  ];
  const made = fixture(tweak('wren-c8', { modes })).add('larder-8').add('wren-c8').add('barge-8', 2);
  expect(made.assess().unconnected).toEqual([]);
  expect(made.build.layout.modes).toEqual({ [made.unit('wren-c8')]: 'storage' });
});

test('an expander card carries what the card that feeds it gives, its drives count there, and nothing moves when it is solved again', () => {
  // 24 SSDs wish 14,400 MB/s: two uplinks of 12 Gb/s lanes and eight ports of the board give just that, of 6 Gb/s a
  // third less.
  const ports = (gbPerLane: number) =>
    (
      resolve(
        catalogue.sheets['tern-8i']!,
        catalogue.archetypes[catalogue.sheets['tern-8i']!.archetype]!,
      ) as PartOf<'controller'>
    ).connectors.map((one) => ({ ...one, gbPerLane }));
  const made = (values: Record<string, unknown>, edgeBuffering = true) =>
    fixture(tweak('tern-8i', values, tweak('weir-24', { edgeBuffering })))
      .add('gable-24')
      .add('gannet-e8')
      .add('tern-8i')
      .add('weir-24')
      .add('pike-960', 24);
  const lost = ({ build }: ReturnType<typeof made>) =>
    levelsOf(scoreOf(problemOf(build), build.layout))[LEVELS.indexOf('mbLost')];
  expect(lost(made({ connectors: ports(12) }))).toBe(0);
  expect(lost(made({ connectors: ports(6) }))).toBe(4_800);
  // Drives of 6 Gb/s hold lanes of 12 at their own rate where the expander does not gather what they send.
  expect(lost(made({ connectors: ports(12) }, false))).toBe(4_800);
  const fast = made({ connectors: ports(12) }).build;
  expect(levelsOf(scoreOf(problemOf(fast), fast.layout))[LEVELS.indexOf('moves')]).toBe(0);
  const few = problemOf(made({ mostDevices: 5 }).build);
  const { layout, unconnected } = solve(few, EMPTY);
  // It takes five, and a connector of four full bays is fed or not.
  expect(unconnected).toHaveLength(24 - 8 - 4);
  expect(checkLayout(few, layout)).toEqual([]);
});
