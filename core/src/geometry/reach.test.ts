import { cube, fixture, tweak } from '../testing/fixture';
import { plannedUnits } from '../machine/units';
import { coveredSlots, reaches } from './reach';

const of = (made: ReturnType<typeof cube>) => reaches(plannedUnits(made.build), made.build.layout);

test.each([
  [70, 0],
  [74, -4],
  [66, 4],
])('a cooler %d mm high under occupied roof bays of 70: %d mm left', (heightMm, gapMm) => {
  const made = cube(tweak('fell-47', { heightMm })).add('pike-960', 1, { at: ['u2/roof.1'] });
  expect(of(made)).toEqual([
    expect.objectContaining({
      what: 'cooler',
      haveMm: heightMm,
      limitMm: 70,
      gapMm,
      because: 'roof',
      label: 'the roof drives',
    }),
  ]);
});

test('with the roof empty the cover ends it; what a snag says and what is drawn are one number', () => {
  expect(of(cube())[0]).toMatchObject({ limitMm: 98, because: 'shell' });
  const long = cube(tweak('tern-8i', { lengthMm: 180 })).add('tern-8i');
  const drawn = of(long).find(({ what }) => what === 'card')!;
  expect(drawn.gapMm).toBe(long.assess().snags.find(({ code }) => code === 'fits.cardLength')!.gap!.gap);
});

test('a card on the table has no room to draw; one on a riser has that of the slot the riser is in', () => {
  expect(of(fixture().add('tern-8i'))).toEqual([]);
  const low = (maxMm: number) =>
    fixture(
      tweak('plank-1u', {
        clearances: [{ for: 'card', maxMm, because: 'shell', label: 'the bays', while: 'present' }],
      }),
    )
      .add('plank-1u')
      .add('knot-m8')
      .add('hoist-1u')
      .add('tern-8i', 1, { at: ['u6/riser1'] });
  const made = low(154);
  expect(of(made)).toEqual([expect.objectContaining({ haveMm: 155, limitMm: 154, gapMm: -1 })]);
  expect(made.snags()).toContain('blocker fits.cardLength');
  expect(
    low(158)
      .snags()
      .filter((one) => one.includes('cardLength')),
  ).toEqual([]);
});

test('a thick card covers the slots it lies over, a thin one none', () => {
  const made = fixture()
    .add('byre-15s')
    .add('gannet-c8')
    .add('beacon-300', 1, { at: ['u4/pcie2'] });
  expect([...coveredSlots(plannedUnits(made.build), made.build.layout)]).toEqual(['u4/pcie3', 'u4/pcie4']);
  const thin = cube().add('tern-8i');
  expect(coveredSlots(plannedUnits(thin.build), thin.build.layout).size).toBe(0);
});
