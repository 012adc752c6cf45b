import { printSpot, type Wire } from '../build/layout';
import { feedChain, sourceOf } from '../links/passOn';
import type { SheetId } from '../parts/ids';
import { catalogue, fixture, tweak, type Fixture } from '../testing/fixture';
import { bayGroupsWith } from '../testing/rules';
import { wiringFor } from '../wiring/wiring';
import { checkLayout } from './checkLayout';
import { problemOf } from './problem';

/** A head with a card of one outside port, or of two, and shelves of sixteen. */
const head = (card: string, shelves: number, drives: number, from?: ReturnType<typeof tweak>) =>
  fixture(from).add('creel-2w').add('wren-c8').add(card).add('loft-16', shelves).add('sluice-8', drives);
const outside = (made: Fixture) =>
  made.build.layout.wires
    .filter(({ cable }) => cable === 'straight:sff-8644:sff-8644')
    .map((wire) => `${wire.host.map(printSpot).join()} ${wire.device.map(printSpot).join()}`)
    .sort();
const shelf = (made: Fixture, n: number) => made.unit('loft-16', n);
const isValid = (made: Fixture) => expect(checkLayout(problemOf(made.build), made.build.layout)).toEqual([]);

test('a second shelf hangs on the second connector of the first, where the card has one outside port', () => {
  const made = head('tern-4i4e', 2, 24);
  expect(made.assess().unconnected).toEqual([]);
  expect(outside(made)).toEqual([
    `${made.unit('tern-4i4e')}/out ${shelf(made, 1)}/front-link.1`,
    `${shelf(made, 1)}/front-link.2 ${shelf(made, 2)}/front-link.1`,
  ]);
  isValid(made);
});

test('with a port for each shelf nothing is chained', () => {
  const made = head('tern-8e', 2, 24);
  expect(outside(made).every((one) => one.startsWith(made.unit('tern-8e')))).toBe(true);
  isValid(made);
});

test('five shelves on two ports are chains of three and two', () => {
  const made = head('tern-8e', 5, 80);
  expect(made.assess().unconnected).toEqual([]);
  const { layout, items } = made.build;
  expect(items.length).toBeGreaterThan(0);
  const units = problemOf(made.build).units;
  const depth = [1, 2, 3, 4, 5].map((n) => feedChain(units, layout.wires, shelf(made, n)).length - 1);
  expect(depth.sort()).toEqual([1, 1, 2, 2, 3]);
  for (const n of [1, 2, 3, 4, 5]) expect(sourceOf(units, layout.wires, shelf(made, n))).toBe(made.unit('tern-8e'));
  isValid(made);
});

test('a shelf with one connector is the last of its chain', () => {
  const device = (count: number, role: string) =>
    tweak('loft-16', { bayGroups: bayGroupsWith('drive-shelf', {}, { count, role }) });
  // The inside port of the card reaches one more shelf through a bracket.
  expect(head('tern-4i4e', 3, 40, device(1, 'either')).assess().unconnected).toHaveLength(8);
  // Two uplinks that hand nothing on.
  expect(head('tern-4i4e', 3, 40, device(2, 'device')).assess().unconnected).toHaveLength(8);
});

test('shelves of two sheets are chained where their bays take the same drives, and not where they do not', () => {
  const loft = catalogue.sheets['loft-16' as SheetId]!;
  const [front] = bayGroupsWith('drive-shelf', {}, {});
  const other = (group: Record<string, unknown>) => ({
    ...catalogue,
    sheets: {
      ...catalogue.sheets,
      other: { ...loft, id: 'other', name: 'Other', bayGroups: [{ ...front, ...group }] } as never,
    },
  });
  const both = (group: Record<string, unknown>) =>
    fixture(other(group))
      .add('creel-2w')
      .add('wren-c8')
      .add('tern-4i4e')
      .add('loft-16')
      .add('other')
      .add('sluice-8', 24);
  const twelve = both({ rows: 3, columns: 4 });
  expect(twelve.assess().unconnected).toEqual([]);
  isValid(twelve);
  expect(both({ rows: 3, columns: 4, takes: ['2.5'] }).assess().unplaced).toHaveLength(8);
});

test('a chain stays as it is when a drive is added, and is said by what feeds it', () => {
  const made = head('tern-4i4e', 3, 40);
  const more = made.add('sluice-8', 2);
  expect(outside(more)).toEqual(outside(made));
  const { hosts } = wiringFor(more.build, more.assess());
  expect(hosts.map(({ unit, behind, cables }) => [unit, behind, cables.length])).toEqual([
    [made.unit('wren-c8'), null, 0],
    [made.unit('tern-4i4e'), null, 1],
    [shelf(made, 1), made.unit('tern-4i4e'), 1],
    [shelf(made, 2), shelf(made, 1), 1],
  ]);
  // The first cable carries what all the drives behind it ask.
  expect(hosts[1]!.cables[0]!.asksMBps).toBe(42 * (hosts[3]!.cables[0]!.asksMBps / 10));
});

test('a cable put from shelf to shelf stays there though a port is free', () => {
  const made = head('tern-8e', 2, 24);
  const [first, second] = [shelf(made, 1), shelf(made, 2)];
  const put = made.edit({
    type: 'cable.put',
    wire: {
      cable: 'straight:sff-8644:sff-8644',
      host: [{ host: first, key: 'front-link', n: 2 }],
      device: [{ host: second, key: 'front-link', n: 1 }],
      how: 'put',
    },
  });
  expect(outside(put)).toContain(`${first}/front-link.2 ${second}/front-link.1`);
  expect(put.assess().unconnected).toEqual([]);
  isValid(put);
});

test('the checker finds shelves that feed each other and hang on nothing', () => {
  const made = head('tern-4i4e', 2, 24);
  const [first, second] = [shelf(made, 1), shelf(made, 2)];
  const ring = made.build.layout.wires.map((wire): Wire =>
    wire.device[0]?.host === first ? { ...wire, host: [{ host: second, key: 'front-link', n: 2 }] } : wire,
  );
  const faults = checkLayout(problemOf(made.build), { ...made.build.layout, wires: ring });
  expect(faults.map(({ code }) => code)).toContain('unfed');
});

describe('a shelf is added to a machine that has its drives', () => {
  const rack = () =>
    fixture().add('gable-24').add('gannet-e8').add('shire-16').add('tern-8e').add('tern-16i').add('barge-8', 8);
  const boxOf = (made: Fixture, n: number) => made.build.layout.at[made.unit('barge-8', n)]?.spot.host;
  const first = [1, 2, 3, 4, 5, 6, 7, 8];

  test('they stay in their box, though one cable to the shelf would do for two inside', () => {
    const grown = rack().add('loft-16').add('barge-8', 8);
    expect(first.map((n) => boxOf(grown, n))).toEqual(first.map(() => grown.unit('gable-24')));
    expect(grown.build.layout.wires.filter(({ cable }) => cable === 'straight:sff-8643:sff-8643')).toHaveLength(2);
    isValid(grown);
  });

  test('planned afresh the cables decide', () => {
    const fresh = fixture()
      .add('gable-24')
      .add('gannet-e8')
      .add('shire-16')
      .add('tern-8e')
      .add('tern-16i')
      .add('loft-16')
      .add('barge-8', 8);
    expect(first.map((n) => boxOf(fresh, n))).toEqual(first.map(() => fresh.unit('loft-16')));
  });

  test('they go to the shelf when the card that carried them is taken out, the new ones stay where they are', () => {
    const grown = rack().add('loft-16').add('barge-8', 8);
    const without = grown.edit({
      type: 'item.remove',
      item: grown.build.items.find(({ sheet }) => sheet === 'tern-16i')!.id,
    });
    expect(without.assess().unconnected).toEqual([]);
    const inShelf = [...first, 9, 10, 11, 12, 13, 14, 15, 16].filter(
      (n) => boxOf(without, n) === grown.unit('loft-16'),
    );
    // The board has ports for eight of them.
    expect(inShelf).toEqual([9, 10, 11, 12, 13, 14, 15, 16]);
    isValid(without);
  });
});
