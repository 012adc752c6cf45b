import { wordsOf } from '../snags/words';
import { plannedUnits } from '../machine/units';
import { catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { chipsetAsked, needOf, usedLanes, wishesOn, type CardUnit } from './asked';
import { drivesOn } from './drivesOn';
import { wiringFor } from './wiring';

const laid = (made: Fixture) => ({ units: plannedUnits(made.build), layout: made.build.layout });
const unitOf = (made: Fixture, sheet: string) => plannedUnits(made.build).find(({ id }) => id === made.unit(sheet))!;
const rack = () => fixture().add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 2);
const tower = (from = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');

test('drives count for the card their cable starts at, those behind an expander card for the card that feeds it', () => {
  const made = rack().add('tern-8i').add('barge-8', 6);
  expect(drivesOn(laid(made), made.unit('tern-8i'))).toHaveLength(6);
  expect(wishesOn(laid(made), made.unit('tern-8i'))).toBe(6 * 180);
  const behind = rack().add('tern-8i').add('weir-24').add('barge-8', 12);
  expect(drivesOn(laid(behind), behind.unit('weir-24'))).toEqual([]);
  expect(drivesOn(laid(behind), behind.unit('tern-8i'))).toHaveLength(12);
});

test('a controller has to carry what its drives give and no more than its chip does, a network card what its ports do', () => {
  const made = rack().add('tern-16i').add('skein-10x2').add('pike-960', 16);
  const card = (sheet: string) => unitOf(made, sheet) as CardUnit;
  expect(needOf(laid(made), card('tern-16i'))).toBe(6400);
  expect(needOf(laid(made), card('skein-10x2'))).toBeCloseTo(2 * 10 * 117.7, 6);
});

test('lanes of the processor: cards and modules as many as they have and their place gives, an expander none', () => {
  const made = rack().add('tern-16i').add('skein-10x2').add('weir-24').add('stickle-500');
  const on = (owner: 'processor' | 'chipset') =>
    usedLanes(laid(made), unitOf(made, 'gannet-e8'), owner)
      .map(({ unit, lanes }) => `${unit.part.name} ${lanes}`)
      .sort();
  expect([...on('processor'), ...on('chipset')].sort()).toEqual([
    'Skein 10, two ports 8',
    'Stickle 500 GB NVMe 4',
    'Tern 16i 8',
  ]);
});

test('a card on a riser takes the lanes it has, not those of the slot under the riser', () => {
  const made = fixture().add('plank-1u').add('knot-m8').add('drover-4').add('hoist-1u').add('punt-1');
  expect(made.build.layout.at[made.unit('punt-1')]!.spot.host).toBe(made.unit('hoist-1u'));
  expect(
    usedLanes(laid(made), unitOf(made, 'knot-m8'), 'processor').map(({ unit, lanes }) => [unit.part.name, lanes]),
  ).toEqual([['Punt 1', 4]]);
});

test('a SATA module on the chipset asks as much as a SATA drive', () => {
  const bare = tower();
  const board = (made: Fixture) => unitOf(made, 'plover-a6');
  const asked = (made: Fixture) => chipsetAsked(laid(made), board(made));
  expect(asked(bare)).toBe(0);
  expect(asked(bare.add('barge-8'))).toBe(180);
  const module = tower(
    tweak('plover-a6', {
      m2Sockets: [
        { key: 'm2a', label: 'M.2', lengthsMm: [80], gen: 3, lanes: 4, carries: ['sata', 'pcie'], owner: 'chipset' },
      ],
    }),
  ).add('reed-250', 1, { role: 'data' });
  expect(asked(module)).toBe(530);
  // What the system starts from asks nothing while the pool works.
  const boots = module.edit({ type: 'unit.role', unit: module.unit('reed-250'), role: 'boot' });
  expect(asked(boots)).toBe(0);
});

test('modules on a carrier ask through its slot, no more than that carries', () => {
  const slot = {
    key: 'pcie1',
    label: 'Slot 1',
    position: 0,
    bus: 'pcie',
    lanes: 16,
    wiredLanes: 4,
    gen: 3,
    owner: 'chipset',
    openEnd: false,
  };
  const made = tower(tweak('plover-a6', { slots: [slot], m2Sockets: [] })).add('punt-1');
  const asked = (one: Fixture) => chipsetAsked(laid(one), unitOf(one, 'plover-a6'));
  expect(asked(made)).toBe(0);
  const full = made.add('stickle-500');
  expect(full.seat('stickle-500')).toBe('m2a');
  expect(needOf(laid(full), unitOf(full, 'punt-1') as CardUnit)).toBe(3400);
  expect(asked(full)).toBe(3400);
});

test('the rule and the wiring view say the same number', () => {
  const made = tower(tweak('plover-a6', { uplinkLanes: 2, uplinkGen: 3 }))
    .add('pike-960', 4)
    .add('cradle-2', 2);
  const budget = wiringFor(made.build, made.assess()).budgets.find(({ source }) => source === 'chipset')!;
  const snag = made.assess().snags.find(({ code }) => code === 'reaches.chipsetUplink')!;
  expect([budget.used, budget.has]).toEqual([snag.gap!.have, snag.gap!.limit]);
  expect(wordsOf(snag).what).toContain(`asks ${budget.used.toLocaleString('en-GB')} MB/s`);
  const lanes = cube().add('tern-8i').add('stickle-500');
  expect(wiringFor(lanes.build, lanes.assess()).budgets.find(({ source }) => source === 'processor')!.used).toBe(
    usedLanes(laid(lanes), unitOf(lanes, 'wren-c8'), 'processor').reduce((sum, one) => sum + one.lanes, 0),
  );
});
