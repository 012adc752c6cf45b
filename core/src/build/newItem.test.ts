import { cube } from '../testing/fixture';
import { countEdit } from './newItem';

const made = () => cube().add('tern-8i').add('barge-8', 4, { role: 'spare' });
const item = (one = made()) => one.build.items.at(-1)!;

test('more units are marked on from the last and are for the same', () => {
  const edit = countEdit(made().build, item(), 6)!;
  expect(edit).toMatchObject({
    type: 'units.add',
    units: [
      { mark: 'H5', role: 'spare' },
      { mark: 'H6', role: 'spare' },
    ],
  });
  expect(made().edit(edit).build.items.at(-1)!.units).toHaveLength(6);
});

test('of fewer those without a place go first, then the last that nobody put', () => {
  const one = made();
  const [first, , , last] = item(one).units;
  const held = one.edit({ type: 'place.hold', unit: last!.id, spot: one.build.layout.at[last!.id]!.spot });
  const left = held.edit(countEdit(held.build, item(held), 2)!);
  expect(item(left).units.map(({ id }) => id)).toEqual([first.id, last!.id]);
  const full = cube().add('barge-8', 9);
  const loose = item(full).units.find(({ id }) => !full.build.layout.at[id])!;
  expect(countEdit(full.build, item(full), 8)).toEqual({ type: 'units.remove', units: [loose.id] });
});

test('as many as there are is no edit, and none at all is not a count', () => {
  expect(countEdit(made().build, item(), 4)).toBeNull();
  expect(countEdit(made().build, item(), 0)).toBeNull();
});
