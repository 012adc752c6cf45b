import { ofKind } from '../machine/units';
import { problemOf } from '../solve/problem';
import { catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { plugBalance } from './plugs';

const balance = (made: Fixture, box = 0) => {
  const { units } = problemOf(made.build);
  const host = ofKind(units, 'chassis')[box]!;
  const supply = ofKind(units, 'supply').find(
    (unit) => (made.build.layout.at[unit.id]?.spot ?? unit.builtIn?.spot)?.host === host.id,
  )!;
  return Object.fromEntries(
    plugBalance(units, made.build.layout, host, [supply]).map((line) => [
      line.plug,
      [line.need, line.have, line.short],
    ]),
  );
};

test('the cube: a cage of four plugs however full, a bare roof drive one each', () => {
  // Ember 450 SFX: two chains of four SATA plugs.
  expect(balance(cube())['sata-power']).toBeUndefined();
  expect(balance(cube().add('barge-8', 1))['sata-power']).toEqual([4, 8, 0]);
  expect(balance(cube().add('tern-8i').add('barge-8', 8).add('pike-960', 3))['sata-power']).toEqual([7, 8, 0]);
});

test('a board’s inputs, and a 4-pin fed by half an 8-pin', () => {
  expect(balance(cube())).toMatchObject({ '24-pin': [1, 1, 0], '8-pin-cpu': [1, 1, 0] });
  const four = tweak('wren-c8', {
    powerInputs: [
      { plug: '24-pin', count: 1 },
      { plug: '4-pin-cpu', count: 1 },
    ],
  });
  expect(balance(cube(four))['4-pin-cpu']).toEqual([1, 1, 0]);
});

test('M.2 modules and USB sticks want no plug; a cage in a bay wants its own', () => {
  const kit = fixture()
    .add('creel-2w')
    .add('sprig-i6')
    .add('pellet-b160')
    .add('crib-6', 2)
    .add('stickle-250')
    .add('pike-960', 12);
  expect(balance(kit)['sata-power']).toEqual([2, 2, 0]);
});

test('a small board feeds its one drive itself', () => {
  expect(balance(fixture().add('satchel-1').add('pike-960', 1))['sata-power']).toEqual([1, 1, 0]);
});

test('each box counts its own plugs', () => {
  const pair = fixture().add('satchel-1').add('annex-4').add('barge-8', 4);
  expect(balance(pair, 1)).toEqual({});
  expect(balance(pair, 0)['dc-jack']).toEqual([1, 1, 0]);
});

test('an adapter is used only where it helps, and takes a plug of its kind', () => {
  const short = tweak(
    'ember-450s',
    {
      cables: [
        {
          key: 'all',
          count: 1,
          plugs: [
            { plug: '24-pin', count: 1 },
            { plug: '8-pin-cpu', count: 1 },
            { plug: 'peripheral', count: 1 },
          ],
          lengthMm: 400,
          gaugeAwg: 18,
        },
      ],
    },
    catalogue,
  );
  const made = cube(short).add('barge-8', 1);
  expect(balance(made)['sata-power']).toEqual([4, 0, 4]);
  expect(balance(made.add('yoke-2'))['sata-power']).toEqual([4, 2, 2]);
  expect(balance(made.add('yoke-2', 2))['sata-power']).toEqual([4, 2, 2]);
});

test('the second processor plug is wanted past 200 W; a 6 + 2 plug serves a 6-pin input', () => {
  const server = (peakW: number) =>
    fixture(tweak('shire-16', { peakW })).add('gable-24').add('gannet-e8').add('shire-16').add('ember-650');
  expect(balance(server(155))['8-pin-cpu']![0]).toBe(1);
  expect(balance(server(240))['8-pin-cpu']![0]).toBe(2);
  const six = { powerInputs: [{ plug: '6-pin-card', count: 1 }] };
  const made = fixture(tweak('beacon-120', six)).add('steading-t9').add('plover-a6').add('ember-650').add('beacon-120');
  expect(balance(made)['6-pin-card']).toEqual([1, 1, 0]);
});
