import { briefSchema, buildSchema, newBuild, siteSchema } from '@inch-tower/core';
import { groupsFor, MUST_HAVES, readAnswer } from './briefFields';
import { markWords } from '../build/markWords';

const wish = { times: 1, optional: true, unit: 'W' };
const build = newBuild('b', 'B');

test('answers are read as people write them', () => {
  expect(readAnswer(' 1 200,5 ', wish)).toEqual({ ok: true, value: 1200.5 });
  expect(readAnswer('', wish)).toEqual({ ok: true, value: null });
  expect(readAnswer('19.99', { ...wish, times: 100 })).toEqual({ ok: true, value: 1999 });
  expect(readAnswer('70 cm', { ...wish, unit: 'mm' })).toEqual({ ok: true, value: 700 });
});

test('what cannot be read is said, and what was there is kept', () => {
  expect(readAnswer('quiet', wish)).toEqual({
    ok: false,
    words: '“quiet” is not a number of W; what was there is kept.',
  });
  expect(readAnswer('2.5', { ...wish, whole: true })).toMatchObject({ ok: false });
  expect(readAnswer('', { ...wish, optional: false })).toMatchObject({
    ok: false,
    words: expect.stringContaining('cannot be left open') as string,
  });
});

test('every question asks for a field there is, once, and says why', () => {
  const seen = new Set<string>();
  for (const group of groupsFor(build)) {
    for (const question of [...group.numbers, ...group.choices]) {
      const schema = { brief: briefSchema, site: siteSchema, build: buildSchema }[question.section];
      expect([question.key, question.key in schema.shape]).toEqual([question.key, true]);
      expect([question.key, seen.has(question.key)]).toEqual([question.key, false]);
      seen.add(question.key);
      expect(question.help(build).length).toBeGreaterThan(10);
    }
    for (const question of group.choices)
      for (const [value] of question.options)
        expect(siteSchema.safeParse({ ...build.site, [question.key]: value }).success).toBe(true);
  }
  for (const [key] of MUST_HAVES) expect(briefSchema.safeParse({ mustHave: [key] }).success).toBe(true);
});

test('a watt all year is told at the tariff of the build', () => {
  const idle = (minorPerKwh: number) => {
    const priced = { ...build, tariff: { currency: 'EUR', bands: [{ fromHour: 0, minorPerKwh }] } };
    return groupsFor(priced)
      .flatMap((group) => group.numbers)
      .find((one) => one.key === 'idleW')!
      .help(priced);
  };
  // 8.76 kWh at 30 and at 50 cents
  expect([idle(30), idle(50)]).toEqual([expect.stringContaining('EUR 2.63'), expect.stringContaining('EUR 4.38')]);
});

test.each([
  [20, 18, 22, null],
  [23, 21, 26, 'may be over it'],
  [25, 23, 27, 'probably over it'],
  [30, 25, 35, 'over the limit'],
] as const)('%d (%d to %d) against a mark of 24: %s', (value, lo, hi, words) => {
  expect(markWords({ value, lo, hi }, 24, false)?.words ?? null).toBe(words);
});

test('where more is wanted, less than the mark is short of it', () => {
  expect(markWords({ value: 3, lo: 3, hi: 3 }, 4, true)).toEqual({ words: 'short of it', tone: 'warn' });
  expect(markWords({ value: 4, lo: 4, hi: 4 }, 4, true)).toBeNull();
});
