import { catalogue, cube, fixture, tweak } from '../testing/fixture';
import type { Catalogue } from '../parts/catalogue';
import { resolve } from '../parts/resolve';
import { limitFor } from '../geometry/clearance';
import { CABLE_KINDS, cableKindBetween, cableKindById } from '../links/cableKinds';
import { mismatch } from './accepts';
import { hostPorts } from '../links/ports';
import { refsOf, spotName, spotsOf } from './spots';
import { ofKind, plannedUnits } from './units';

const part = (id: string, from: Catalogue = catalogue) =>
  resolve(from.sheets[id]!, from.archetypes[from.sheets[id]!.archetype]!);
const spot = (host: string, key: string, from: Catalogue = catalogue) =>
  spotsOf('h', part(host, from)).find((one) => one.key === key)!;

test.each([
  ['larder-8', 'cage', 'barge-8', null],
  ['larder-8', 'cage', 'pike-960', null],
  ['larder-8', 'cage', 'stickle-500', 'size'],
  ['larder-8', 'cage', 'wren-c8', 'otherKind'],
  ['larder-8', 'roof', 'barge-8', 'size'],
  ['larder-8', 'roof', 'coot-2', null],
  ['larder-8', 'supply', 'ember-600s', null],
  ['larder-8', 'supply', 'brazier-800', 'form'],
  ['larder-8', 'rear', 'hush-120', null],
  ['larder-8', 'rear', 'hush-92', 'size'],
  ['larder-8', 'tray', 'gannet-e8', 'holes'],
  ['steading-t9', 'upper', 'crib-5', null],
  ['steading-t9', 'cage', 'crib-5', 'size'],
  ['steading-t9', 'cage', 'cradle-2', null],
  ['wren-c8', 'socket', 'shire-16', 'socket'],
  ['wren-c8', 'coolerMount', 'crag-q8', 'socket'],
  ['wren-c8', 'memory', 'clew-5-16', 'memoryType'],
  ['wren-c8', 'memory', 'clew-s16', 'memoryForm'],
  ['wren-c8', 'memory', 'clew-r32', null],
  ['wren-c8', 'm2a', 'reed-250', 'protocol'],
  ['wren-c8', 'm2b', 'reed-250', null],
  ['wren-c8', 'm2a', 'stilt-m5', null],
  ['wren-c8', 'pcie1', 'stilt-m5', 'bus'],
  ['wren-c8', 'm2a', 'tern-8i', 'otherKind'],
  ['wren-c8', 'pcie1', 'beacon-300', null],
  ['wren-d6', 'pcie1', 'tern-8i', null],
  ['plover-a6', 'pcie4', 'tern-8i', 'width'],
  ['plover-a6', 'pcie4', 'stilt-4', null],
  ['gannet-e8', 'usb', 'dab-32', null],
  ['gannet-e8', 'pcie1', 'hoist-1u', null],
  ['hoist-1u', 'riser1', 'tern-8i', null],
  ['hoist-1u', 'riser1', 'hoist-1u', 'otherKind'],
  ['gannet-e8', 'usb', 'barge-8', 'otherKind'],
  ['wren-c8', 'sata', 'lead-sata', null],
  ['wren-c8', 'sata', 'lead-8643', 'connector'],
  ['tern-8i', 'port', 'lead-forward-8643', null],
])('%s, %s: %s → %s', (host, key, sheet, code) => {
  expect(mismatch(part(sheet), spot(host, key))?.code ?? null).toBe(code);
});

test('a drive with another interface than the backplane carries does not go in', () => {
  const sataOnly = tweak('crib-5', {});
  const cage = spotsOf('h', part('crib-5', sataOnly))[0]!;
  expect(mismatch(part('sluice-8'), cage)).toMatchObject({ code: 'protocol', want: 'sata', have: 'sas' });
});

test('a group of one has no number, one of many counts from 1', () => {
  expect(refsOf(spot('larder-8', 'supply'))).toEqual([{ host: 'h', key: 'supply' }]);
  expect(refsOf(spot('larder-8', 'cage')).map((ref) => ref.n)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  expect([spotName(spot('larder-8', 'supply')), spotName(spot('larder-8', 'cage'), 3)]).toEqual([
    'h/supply',
    'h/cage.3',
  ]);
});

test('the least clearance that applies is the limit', () => {
  const chassis = part('larder-8');
  if (chassis.kind !== 'chassis') throw new Error('no chassis');
  expect(limitFor(chassis, 'cooler', { occupied: new Set() })).toMatchObject({ maxMm: 98, because: 'shell' });
  expect(limitFor(chassis, 'cooler', { occupied: new Set(['roof']) })).toMatchObject({ maxMm: 70, because: 'roof' });
  expect(limitFor(chassis, 'board', { occupied: new Set() })).toBeNull();
});

test('cables: no SATA port drives a SAS end, breakouts go one way each, ids are their own', () => {
  expect(CABLE_KINDS.some((cable) => cable.host === 'sata' && cable.device === 'sff-8482')).toBe(false);
  expect(cableKindBetween('forward', 'sff-8643', 'sata')).toMatchObject({ tails: 4 });
  expect(cableKindBetween('reverse', 'sff-8643', 'sata')).toBeUndefined();
  expect(new Set(CABLE_KINDS.map((cable) => cable.id)).size).toBe(CABLE_KINDS.length);
  for (const cable of CABLE_KINDS) expect(cableKindById(cable.id)).toBe(cable);
});

test('ports of a board, less what a module in use takes, with who took it', () => {
  const made = cube().add('reed-250', 1, { at: ['u4/m2b'] });
  const units = plannedUnits(made.build);
  const ports = hostPorts(units, (unit) => made.build.layout.at[unit.id]?.spot ?? unit.builtIn?.spot);
  expect(ports.filter((port) => port.inside).map((port) => port.lanes)).toEqual([1, 1, 0, 0]);
  expect(ports[3]!.offBecause?.part.name).toBe('Reed 250 GB M.2 SATA');
});

test('a soldered processor is there, keeps its place and costs nothing', () => {
  const made = fixture().add('larder-8').add('wren-d6');
  const processor = ofKind(plannedUnits(made.build), 'processor')[0]!;
  expect(processor).toMatchObject({ builtIn: { fixed: true, spot: { key: 'socket' } }, item: null });
  expect(
    made
      .add('drover-4')
      .assess()
      .unplaced.map((unit) => unit.part.name),
  ).toEqual(['Drover 4']);
  expect(made.assess().figures['cost.now']!.value).toBe(129 + 298);
});
