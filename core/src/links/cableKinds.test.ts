import { fixture, tweak } from '../testing/fixture';
import { CABLE_KINDS, cableKindBetween } from './cableKinds';

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
  const made = fixture(tweak('tern-8i', { connectors: [eight] }, tweak('plover-a6', { connectors: [] })))
    .add('byre-15s')
    .add('plover-a6')
    .add('tern-8i')
    .add('barge-8', 8);
  expect(made.assess().unconnected).toEqual([]);
  expect(made.build.layout.wires.map(({ cable, device }) => [cable, device.length])).toEqual([
    ['forward:sff-8654-8i:sata', 8],
  ]);
  expect(made.add('barge-8', 1).assess().unconnected).toHaveLength(1);
});
