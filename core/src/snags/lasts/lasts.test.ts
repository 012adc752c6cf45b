import { find, firstRemedy, said } from '../../testing/rules';
import { cube, fixture, tweak } from '../../testing/fixture';

describe('drives beside each other', () => {
  const rack = (ratedBays: number | null, count: number) =>
    fixture(tweak('barge-8', { ratedBays })).add('gable-24').add('barge-8', count);
  test('past what they are made for, with another drive as the cure', () => {
    expect(said(rack(8, 12), 'lasts.ratedBays')).toEqual([
      'caution: Barge 8 TB is made for boxes of up to 8 drives; 12 disks turn in Gable 24.',
    ]);
    expect(find(rack(8, 8), 'lasts.ratedBays')).toEqual([]);
    expect(find(rack(null, 12), 'lasts.ratedBays')).toEqual([]);
    expect(firstRemedy(rack(8, 12), 'lasts.ratedBays', tweak('barge-8', { ratedBays: 8 })).length).toBeGreaterThan(0);
  });
});

test('drives that have run for more than five years, or are called doubtful', () => {
  const owned = (more: object) => {
    const made = cube().add('barge-8', 2);
    return made.set({
      items: made.build.items.map((item) => (item.sheet === 'barge-8' ? { ...item, ...more } : item)),
    });
  };
  expect(said(owned({ deal: 'owned', hours: 52_000 }), 'lasts.worn')).toEqual([
    'caution: 2 × Barge 8 TB have run 52,000 hours.',
  ]);
  expect(said(owned({ deal: 'owned', condition: 'doubtful' }), 'lasts.worn')[0]).toMatch(/are marked doubtful\.$/);
  expect(find(owned({ deal: 'owned', hours: 20_000 }), 'lasts.worn')).toEqual([]);
});

test('a write cache that nothing protects is said where drives hang on it', () => {
  const card = (cacheProtected: boolean | null, drives: number) =>
    cube(tweak('tern-8i', { cacheProtected })).add('tern-8i').add('barge-8', drives);
  expect(said(card(false, 8), 'lasts.writeBack')[0]).toMatch(/^caution: Tern 8i keeps writes in a cache/);
  expect(find(card(null, 8), 'lasts.writeBack')).toEqual([]);
});

test('a bridge of a weak kind, one that hides its drives, one that does not come back', () => {
  const box = (values: Record<string, unknown>) =>
    said(fixture(tweak('ferry-10', values)).add('ferry-10'), 'lasts.bridge');
  expect(box({ weakBridge: true })).toEqual([
    'caution: The bridge of Ferry 10, bridge is of a kind known to drop out under load.',
  ]);
  expect(box({ seenAs: 'one' })).toEqual(['note: Ferry 10, bridge shows all of its drives as one.']);
  expect(box({ recovers: false })[0]).toMatch(/^caution: Ferry 10, bridge does not come back by itself/);
  expect(box({})).toEqual([]);
});

test('years of owned parts count up to the day of the assessment', () => {
  const aged = (sheet: string, year: number) => {
    const made = cube().add(sheet, 1, { deal: 'owned' });
    const items = made.build.items.map((item) => (item.sheet === sheet ? { ...item, year } : item));
    return said(made.set({ items }), 'lasts.aged');
  };
  expect(aged('barge-8', 2021)).toEqual(['note: Barge 8 TB is 5 years old.']);
  expect(aged('barge-8', 2022)).toEqual([]);
  expect(aged('sump-700', 2020)).toEqual(['note: The battery of Sump 700 is 6 years old.']);
  expect(aged('tern-8i', 2005)).toEqual([]);
});

describe('parts that are sold no more', () => {
  const until = (soldUntilYear: number, more: object = {}, id = 'barge-8') => {
    const made = cube(tweak(id, { soldUntilYear })).add('tern-8i').add('barge-8', 2);
    return made.set({ items: made.build.items.map((item) => (item.sheet === id ? { ...item, ...more } : item)) });
  };
  test('to buy as new: a note, and parts that can stand in for them; used, or sold still: nothing', () => {
    expect(said(until(2020), 'lasts.notSold')).toEqual(['note: 2 × Barge 8 TB were sold new until 2020.']);
    expect(firstRemedy(until(2020), 'lasts.notSold')[0]).toMatch(/^Take .* instead of Barge 8 TB$/);
    expect(find(until(2020, { condition: 'good' }), 'lasts.notSold')).toEqual([]);
    expect(find(until(2026), 'lasts.notSold')).toEqual([]);
  });
  test('an owned one is at least as old as that, where nobody says when it was bought', () => {
    expect(said(until(2019, { deal: 'owned' }), 'lasts.aged')).toEqual(['note: 2 × Barge 8 TB are 7 years old.']);
    expect(find(until(2019, { deal: 'owned', year: 2024 }), 'lasts.aged')).toEqual([]);
  });
  test.each([
    ['memory', 'clew-16e'],
    ['a processor', 'drover-4'],
    ['a card', 'tern-8i'],
    ['a supply', 'ember-450s'],
  ])('equals of %s do what it does', (_what, id) => {
    const made = until(2020, {}, id);
    expect(find(made, 'lasts.notSold')).toHaveLength(1);
    const titles = firstRemedy(made, 'lasts.notSold');
    expect(titles.every((title) => title.startsWith('Take ') || title.startsWith('Give up'))).toBe(true);
  });
});
