import { fixture, tweak } from '../testing/fixture';
import type { ConnectorKind } from '../parts/vocabulary';
import { CABLE_KINDS, cableKindBetween, isOfKind } from './cableKinds';

test('the cable of 6 Gb/s SAS carries no PCIe, whatever is at its other end', () => {
  const old = CABLE_KINDS.filter(({ host, device }) => host === 'sff-8087' || device === 'sff-8087');
  expect(old.length).toBeGreaterThan(4);
  expect(old.filter(({ carries }) => carries.includes('pcie'))).toEqual([]);
  expect(cableKindBetween('straight', 'sff-8643', 'sff-8639')!.carries).toEqual(['pcie']);
});

test('a port of eight lanes feeds eight bare drives by one breakout', () => {
  const eight = {
    key: 'port',
    count: 1,
    kind: 'sff-8654-8i',
    lanes: 8,
    carries: ['sas', 'sata'],
    gbPerLane: 12,
    role: 'host',
    side: 'inside',
  };
  const from = tweak('tern-8i', { connectors: [eight] }, tweak('plover-a6', { connectors: [] }));
  const made = fixture(from).add('byre-15s').add('plover-a6').add('tern-8i').add('barge-8', 8);
  expect(made.assess().unconnected).toEqual([]);
  expect(made.build.layout.wires.map(({ cable, device }) => [cable, device.length])).toEqual([
    ['forward:sff-8654-8i:sata', 4],
    ['forward:sff-8654-8i:sata', 4],
  ]);
  // Both halves are one cable on the bill, and one port on the card.
  expect(made.assess().needs.needs.map(({ cable, count }) => [cable.name, count])).toEqual([
    ['Breakout, SFF-8654-8I to 8 × SATA', 1],
  ]);
  expect(made.add('barge-8', 1).assess().unconnected).toHaveLength(1);
});

test('two backplane connectors hang on one plug of eight lanes', () => {
  const made = fixture()
    .add('gable-24')
    .add('gannet-e8')
    .add('tern-16x')
    .add('barge-12', 16, { at: Array.from({ length: 16 }, (_, i) => `u2/front.${i + 1}`) });
  expect(made.assess().unconnected).toEqual([]);
  const needs = made.assess().needs.needs.filter(({ cable }) => cable.pairedAt);
  expect(needs.map(({ cable, count }) => [cable.name, count])).toEqual([
    ['Breakout, SFF-8654-8I to 2 × SFF-8643', needs[0]!.count],
  ]);
  const straight = made.build.layout.wires.filter(({ cable }) => cable === 'straight:sff-8654-8i:sff-8643');
  expect(needs[0]!.count).toBe(Math.ceil(straight.length / 2));
});

test('a cable of the kit with a plug of eight lanes is known for what it is', () => {
  const kind = cableKindBetween('straight', 'sff-8654-8i', 'sff-8643')!;
  const end = (plug: ConnectorKind, tails: number, role: 'host' | 'device') => ({
    kind: plug,
    tails,
    lanesPerTail: 4,
    role,
  });
  const cable = (tails: number) =>
    ({ kind: 'cable', ends: [end('sff-8654-8i', 1, 'host'), end('sff-8643', tails, 'device')] }) as never;
  expect(isOfKind(cable(2), kind)).toBe(true);
  expect(isOfKind(cable(1), kind)).toBe(false);
});
