import { cube, fixture } from '../testing/fixture';
import { differenceOf } from './difference';

const none = { added: [], gone: [], moved: [], loose: [], changed: [], undone: [] };

test('a machine does not differ from itself, nor by its name', () => {
  const made = cube().add('barge-8', 2);
  expect(differenceOf(made.build, made.build)).toEqual(none);
  expect(differenceOf(made.build, made.edit({ type: 'set.name', value: 'Other' }).build)).toEqual(none);
});

test('parts that come in and go out, counted by sheet, small ones too', () => {
  const made = cube().add('barge-8', 2);
  expect(differenceOf(made.build, made.add('barge-8', 3).add('usb-angle').build)).toEqual({
    ...none,
    added: [
      { name: 'Barge 8 TB', count: 3 },
      { name: 'USB angle adapter', count: 1 },
    ],
  });
  expect(differenceOf(made.add('barge-8', 3).build, made.build)).toEqual({
    ...none,
    gone: [{ name: 'Barge 8 TB', count: 3 }],
  });
});

test('a part taken instead of another is one in and one out', () => {
  const made = cube();
  const swapped = made.edit({ type: 'units.remove', units: [made.unit('fell-47')] }).add('fell-37');
  expect(differenceOf(made.build, swapped.build)).toEqual({
    ...none,
    added: [{ name: 'Fell 37', count: 1 }],
    gone: [{ name: 'Fell 47', count: 1 }],
  });
});

test('units that move, by their marks; one that finds its first place does not', () => {
  const made = cube().add('pike-960', 1, { at: ['u2/cage.1'] });
  const mark = made.build.items.at(-1)!.units[0].mark;
  expect(
    differenceOf(
      made.build,
      made.edit({
        type: 'place.put',
        unit: made.unit('pike-960'),
        spot: { host: made.unit('larder-8'), key: 'cage', n: 4 },
      }).build,
    ),
  ).toEqual({ ...none, moved: [mark] });
  const lying = fixture().add('barge-8');
  expect(differenceOf(lying.build, lying.add('larder-8').build).moved).toEqual([]);
});

test('a second box beside the first moves nothing', () => {
  const made = cube();
  expect(differenceOf(made.build, made.add('annex-4').build)).toEqual({
    ...none,
    added: [{ name: 'Annex 4', count: 1 }],
  });
});

test('what loses its place', () => {
  const made = cube().add('pike-960', 1);
  const without = made.edit({ type: 'units.remove', units: [made.unit('larder-8')] });
  expect(differenceOf(made.build, without.build).loose).toContain(made.build.items.at(-1)!.units[0].mark);
});

test('options and mods of a chassis by their titles, taken and taken back', () => {
  const made = cube();
  const host = made.unit('larder-8');
  const option = made.edit({ type: 'change.add', change: { id: 'c1', kind: 'option', host, key: 'noRoof' } });
  expect(differenceOf(made.build, option.build).changed).toEqual(['Take out the roof bays']);
  expect(differenceOf(option.build, made.build).undone).toEqual(['Take out the roof bays']);
  const mod = made.edit({
    type: 'change.add',
    change: { id: 'c2', kind: 'mod', host, title: 'Vents sealed', effects: [{ do: 'leak', shareChange: -0.1 }] },
  });
  expect(differenceOf(made.build, mod.build).changed).toEqual(['Vents sealed']);
});
