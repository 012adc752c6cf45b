import { unconnectedDrives } from '../links/unconnected';
import { printSpot } from '../build/layout';
import { fixture, tweak, type Fixture } from '../testing/fixture';
import { said } from '../testing/rules';
import { checkLayout } from './checkLayout';
import { problemOf } from './problem';

const cables = (made: Fixture) =>
  made.build.layout.wires.map((wire) => `${wire.cable} ${wire.device.map(printSpot).join()}`);
const shelfPair = () => fixture().add('satchel-1').add('clew-s16').add('annex-4').add('barge-16', 4);

test('four drives behind a bridge hang on one USB cable', () => {
  const made = shelfPair();
  expect(made.assess().unconnected).toEqual([]);
  expect(cables(made)).toEqual(['straight:usb-c:usb-c u6/bay-link']);
  expect(checkLayout(problemOf(made.build), made.build.layout)).toEqual([]);
  expect(made.assess().needs.needs).toMatchObject([{ count: 1, fromBoxes: 1, toBuy: 0 }]);
});

test('a board without a USB-C port uses an A port and another cable', () => {
  const made = fixture().add('husk-1').add('sprig-s1').add('annex-4').add('barge-16', 2);
  expect(cables(made)).toEqual([expect.stringContaining('straight:usb-a:usb-c')]);
});

test('without any USB port the drives are named, and the cable is not made up', () => {
  const none = tweak('satchel-1', { builtIn: [] });
  const made = fixture(none).add('satchel-1').add('creel-2').add('annex-4').add('barge-16', 2);
  expect(cables(made)).toEqual([]);
  expect(made.assess().unconnected).toHaveLength(2);
});

test('each box has its own supply and its own start', () => {
  const { figures, snags } = shelfPair().assess();
  expect(snags.filter((snag) => snag.severity === 'blocker')).toEqual([]);
  // Four disks start together on the brick of their own box: 4 × 1.8 A and a fan, not what the host draws.
  expect(figures['power.start12A']!.value).toBeGreaterThan(7.2);
  expect(figures['power.start12A']!.value).toBeLessThan(8.6);
});

test('a drive shelf hangs on an outside port; inside ports reach it through a bracket, SATA ports do not', () => {
  const shelfOnly = (card: string) => {
    const made = fixture().add('loft-16').add('sluice-8', 6);
    return made.add('creel-2w').add('wren-c8').add(card);
  };
  expect(shelfOnly('tern-8e').assess().unconnected).toEqual([]);
  expect(cables(shelfOnly('tern-8e'))).toEqual([expect.stringMatching(/^straight:sff-8644:sff-8644 .*front-link\.1$/)]);
  expect(cables(shelfOnly('tern-8i'))).toEqual([expect.stringMatching(/^straight:sff-8643:sff-8644 .*front-link\.1$/)]);
  expect(shelfOnly('tern-8i').assess().unconnected).toEqual([]);
  expect(shelfOnly('stilt-6').assess().unconnected).toHaveLength(6);
});

test('the checker refuses a cable that goes through a wall', () => {
  const made = shelfPair();
  const inside = fixture(
    tweak('sprig-n4', {
      connectors: [
        {
          key: 'usbc',
          label: 'USB',
          count: 1,
          kind: 'usb-c',
          lanes: 1,
          carries: ['usb'],
          gbPerLane: 10,
          role: 'host',
          side: 'inside',
        },
      ],
    }),
  )
    .add('satchel-1')
    .add('clew-s16')
    .add('annex-4')
    .add('barge-16', 4);
  expect(checkLayout(problemOf(inside.build), made.build.layout).map((one) => one.code)).toContain('side');
});

test('the board of a mini computer holds memory, and its brick lies beside it', () => {
  const made = shelfPair();
  expect(made.seat('clew-s16')).toBe('memory.1');
  expect(made.assess().open.map((one) => one.kind)).toEqual([]);
});

describe('a box of drives behind a bracket', () => {
  // A head with a card and beside it a rack box of twelve bays without a board.
  const behind = (card: string, drives: number, from?: ReturnType<typeof tweak>) =>
    fixture(from).add('creel-2w').add('wren-c8').add(card).add('gable-12').add('sluice-8', drives);

  test('outside ports reach its backplane, a cable for each connector, and both lead through one bracket', () => {
    const made = behind('tern-8e', 8);
    expect(made.assess().unconnected).toEqual([]);
    expect(made.build.layout.wires.map(({ cable }) => cable)).toEqual([
      'straight:sff-8644:sff-8643',
      'straight:sff-8644:sff-8643',
    ]);
    expect(checkLayout(problemOf(made.build), made.build.layout)).toEqual([]);
    expect(made.assess().needs.needs.map(({ cable, toBuy }) => [cable.name, toBuy])).toEqual([
      ['Cables and bracket, SFF-8644 to SFF-8643', 2],
    ]);
    expect(said(made, 'fits.bracketOpening')).toEqual([]);
  });
  test('no more drives than the ports have lanes', () => {
    const made = behind('tern-8e', 12);
    expect(made.assess().unconnected).toHaveLength(4);
    expect(
      unconnectedDrives(made.assess().units, made.build.layout).conflict?.find(({ kind }) => kind === 'ports')?.count,
    ).toBe(8);
  });
  test('a box without slot openings says so', () => {
    expect(said(behind('tern-8e', 8, tweak('gable-12', { openings: [] })), 'fits.bracketOpening')).toEqual([
      'caution: 2 cables through the wall of Gable 12: 1 bracket, and 0 slot openings free.',
    ]);
  });
  test('an expander with a plug of its own is fed through the wall', () => {
    const made = fixture()
      .add('creel-2w')
      .add('wren-c8')
      .add('tern-8e')
      .add('gable-24')
      .add('weir-24')
      .add('sluice-8', 24);
    expect(made.assess().unconnected).toEqual([]);
    expect(checkLayout(problemOf(made.build), made.build.layout)).toEqual([]);
  });
  test('the checker refuses a bracket within one box', () => {
    const made = behind('tern-8e', 4);
    const { layout } = made.build;
    const one = fixture().add('gable-12').add('gannet-c8').add('tern-8e').add('sluice-8', 4);
    const wires = layout.wires.map((wire) => ({
      ...wire,
      host: [{ ...wire.host[0], host: one.unit('tern-8e') }],
      device: [{ ...wire.device[0], host: one.unit('gable-12') }],
    }));
    const faults = checkLayout(problemOf(one.build), { ...one.build.layout, wires: wires as never });
    expect(faults.map(({ code }) => code)).toContain('box');
  });
});
