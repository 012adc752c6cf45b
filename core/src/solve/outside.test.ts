import { printSpot } from '../build/layout';
import { fixture, tweak, type Fixture } from '../testing/fixture';
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

test('a drive shelf needs an outside port: an HBA with inside ports does not reach it', () => {
  const shelfOnly = (card: string) => {
    const made = fixture().add('loft-16').add('sluice-8', 6);
    return made.add('creel-2w').add('wren-c8').add(card);
  };
  expect(shelfOnly('tern-8e').assess().unconnected).toEqual([]);
  expect(cables(shelfOnly('tern-8e'))).toEqual([expect.stringMatching(/^straight:sff-8644:sff-8644 .*front-link\.1$/)]);
  expect(shelfOnly('tern-8i').assess().unconnected).toHaveLength(6);
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
