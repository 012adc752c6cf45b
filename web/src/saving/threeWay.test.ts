import { newBuild, type Build, type Edit } from '@inch-tower/core';
import { merge, onto } from './threeWay';
import { withWas } from './was';

const base = (): Build => newBuild('m', 'Mill');
const brief = (value: Build['brief']): Edit => ({ type: 'set.brief', value });
const madeOn = (build: Build, edit: Edit) => withWas(build, [edit])[0]!;

test('a wish changed here and another there are both kept, and mine where both changed the same', () => {
  const was: Build = { ...base(), brief: { idleW: 60, earDb: 26 } };
  const mine = madeOn(was, brief({ idleW: 40, earDb: 26 }));
  const theirs: Build = { ...was, brief: { idleW: 60, earDb: 24, usableTb: 40 } };
  expect(onto(theirs, mine)).toMatchObject({ value: { idleW: 40, earDb: 24, usableTb: 40 } });
  expect(onto({ ...was, brief: { idleW: 50, earDb: 26 } }, mine)).toMatchObject({ value: { idleW: 40, earDb: 26 } });
});

test('a wish taken out here stays out, one taken out there as well', () => {
  const was: Build = { ...base(), brief: { idleW: 60, earDb: 26, peakW: 200 } };
  const mine = madeOn(was, brief({ idleW: 60, peakW: 200 }));
  const theirs: Build = { ...was, brief: { earDb: 26, peakW: 200 } };
  expect((onto(theirs, mine) as { value: unknown }).value).toEqual({ peakW: 200 });
});

test('lists of things with names: added, changed and taken out on either side', () => {
  const one = (id: string, value: number) => ({ id, value });
  const was = [one('a', 1), one('b', 2), one('c', 3), one('d', 4)];
  const mine = [one('a', 10), one('b', 2), one('d', 4), one('m', 5)];
  const theirs = [one('a', 1), one('c', 3), one('d', 40), one('t', 6)];
  expect(merge(was, mine, theirs)).toEqual([one('a', 10), one('d', 40), one('t', 6), one('m', 5)]);
  // What I took out and they changed is kept: theirs would be lost without a word.
  expect(merge([one('a', 1)], [], [one('a', 2)])).toEqual([one('a', 2)]);
  expect(merge(['ecc'], ['ecc', 'hotSwap'], ['ecc', 'allFlash'])).toEqual(['ecc', 'allFlash', 'hotSwap']);
});

test('hours of a day are changed hour by hour; lists of other lengths without names are mine', () => {
  const was = ['idle', 'idle', 'idle'];
  expect(merge(was, ['idle', 'busy', 'idle'], ['off', 'idle', 'idle'])).toEqual(['off', 'busy', 'idle']);
  expect(merge(was, ['busy'], ['off', 'off', 'off', 'off'])).toEqual(['busy']);
});

test('a drive both have moved into another set is in the one I chose, and in no second', () => {
  const sets = (...units: readonly (readonly string[])[]) =>
    units.map((all, i) => ({ id: `s${i}`, layout: 'parity1', units: all })) as unknown as Build['pool']['sets'];
  const was: Build = { ...base(), pool: { sets: sets(['a', 'b', 'x'], ['c'], ['d']) } };
  const mine = madeOn(was, { type: 'set.pool', value: { sets: sets(['a', 'b'], ['c', 'x'], ['d']) } });
  const theirs: Build = {
    ...was,
    pool: { software: { mostDrives: 6 }, sets: sets(['a', 'b'], ['c'], ['d', 'x']) },
  };
  expect(onto(theirs, mine)).toMatchObject({
    value: { software: { mostDrives: 6 }, sets: sets(['a', 'b'], ['c', 'x'], ['d']) },
  });
});

test('a rate given here and another there, where there was none, are both kept', () => {
  const mine = madeOn(base(), { type: 'set.rates', value: { CHF: 1.05 } });
  expect(onto({ ...base(), rates: { USD: 0.9 } }, mine)).toMatchObject({ value: { CHF: 1.05, USD: 0.9 } });
});

test('edits of one step know what those before them left; other edits are what they were', () => {
  const build = base();
  const edits: Edit[] = [brief({ idleW: 40 }), brief({ idleW: 40, earDb: 24 }), { type: 'set.stage', value: 0 }];
  const told = withWas(build, edits) as readonly { was?: unknown }[];
  expect(told.map(({ was }) => was)).toEqual([build.brief, { idleW: 40 }, 0]);
  const others: Edit[] = [{ type: 'change.remove', id: 'x' }];
  expect(withWas(build, others)).toBe(others);
  // An edit kept by a page that did not tell what was before is made whole, as it always was.
  expect(onto({ ...build, brief: { earDb: 24 } }, brief({ idleW: 40 }))).toEqual(brief({ idleW: 40 }));
});

test('of a part’s price only what was changed is changed on another version; its other answers are theirs', () => {
  const price = { minor: 21_400, currency: 'EUR', per: 'unit' as const, taxIncluded: true };
  const made = newBuild('a', 'A');
  const item = {
    id: 'i1' as never,
    sheet: 'disk' as never,
    units: [{ id: 'u1' as never, mark: 'A1' }] as never,
    stage: 0,
    deal: 'buy' as const,
    price,
  };
  const shown = { ...made, items: [item] };
  const [mine] = withWas(shown, [
    { type: 'item.patch', item: item.id, patch: { price: { ...price, doubtful: true }, condition: 'good' } },
  ]);
  expect(mine).toMatchObject({ was: { price } });
  const theirs = { ...made, items: [{ ...item, price: { ...price, minor: 18_900 }, year: 2024 }] };
  const joined = onto(theirs, mine!);
  expect(joined).toMatchObject({
    patch: { price: { ...price, minor: 18_900, doubtful: true }, condition: 'good' },
    was: { price: { ...price, minor: 18_900 } },
  });
  // Both changed the same: mine stands, as was asked for.
  const [both] = withWas(shown, [{ type: 'item.patch', item: item.id, patch: { price: { ...price, minor: 20_000 } } }]);
  expect(onto(theirs, both!)).toMatchObject({ patch: { price: { minor: 20_000 } } });
  // A part that is gone there is told as it was asked.
  expect(onto({ ...made, items: [] }, both!)).toEqual(both);
});

test('two answers of one part in a step are each made from what was shown', () => {
  const made = newBuild('a', 'A');
  const item = { id: 'i1', sheet: 'disk', units: [{ id: 'u1', mark: 'A1' }], stage: 0, deal: 'buy', year: 2019 };
  const edits = withWas({ ...made, items: [item as never] }, [
    { type: 'item.patch', item: 'i1' as never, patch: { year: 2020 } },
    { type: 'item.patch', item: 'i1' as never, patch: { year: 2021, hours: 5 } },
  ]);
  expect(edits).toMatchObject([{ was: { year: 2019 } }, { was: { year: 2019 } }]);
});
