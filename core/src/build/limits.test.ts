import { readdirSync, readFileSync } from 'node:fs';
import { buildSchema } from './build';
import { countText, countValue } from '../parts/counted';
import { LIMITS } from '../parts/limits';
import { newBuild } from './newBuild';
import { parseBuild, parseBuildText, type JudgedParts } from './parseBuild';

const base = JSON.stringify(newBuild('b', 'B'));
const many = (unit: string, bytes: number): string =>
  `[${Array<string>(Math.floor(bytes / (unit.length + 1)))
    .fill(unit)
    .join(',')}]`;
const withItems = (items: string): string => base.replace('"items":[]', `"items":${items}`);

test.each([
  ['objects', withItems(many('{}', 3e5)), 'items: 100000 entries; at most 5000.'],
  ['8 MB of objects', withItems(many('{}', 7.9e6)), 'more than 500,000 values'],
  ['8 MB of numbers', withItems(many('1', 7.9e6)), 'more than 500,000 values'],
  ['lists in lists', withItems('['.repeat(1e6) + ']'.repeat(1e6)), 'nested more than 32 deep'],
  ['a long text', base.replace('"currency":"EUR"', `"currency":"${'x'.repeat(30_000)}"`), 'A text of 30000 characters'],
  ['a long field name', base.replace('"currency"', `"${'k'.repeat(300)}":1,"currency"`), 'A name of 300 characters'],
  [
    'one part of many values',
    base.replace('"sheets":{}', `"sheets":{"s":{"slots":${many('1', 8000)}}}`),
    'A part holds at most 3000 values',
  ],
])('%s past a limit are refused by it', (_name, text, words) => {
  expect(parseBuildText(text)).toMatchObject({
    ok: false,
    code: 'overLimit',
    words: expect.stringContaining(words) as string,
  });
});

test('a list that is wrong all through is refused with its first faults', () => {
  const parsed = parseBuildText(withItems(many('{}', 14_000)));
  expect(parsed).toMatchObject({
    ok: false,
    code: 'notABuild',
    words: expect.stringContaining('and many more') as string,
  });
});

test('text and bytes are counted alike, and what stands in a text is not counted', () => {
  const text = JSON.stringify({ 'ké"[': ['{[,,,\\"', 'ü'.repeat(9)] });
  expect([countText(text), countText(new TextEncoder().encode(text))]).toEqual([null, null]);
  expect(countText(JSON.stringify('[{'.repeat(LIMITS.values)))).toBeNull();
  expect(countValue(JSON.parse(text))).toBeNull();
});

test('a build is read piece by piece as it is by the whole schema', () => {
  for (const name of readdirSync('demo/builds')) {
    const value = JSON.parse(readFileSync(`demo/builds/${name}`, 'utf8')) as unknown;
    expect(parseBuild(value)).toEqual({ ok: true, build: buildSchema.parse(value) });
  }
});

test('with parts judged before, a build is read as without, and a part that is wrong is refused as before', () => {
  const judged: JudgedParts = new Map();
  for (const name of readdirSync('demo/builds')) {
    const value = JSON.parse(readFileSync(`demo/builds/${name}`, 'utf8')) as {
      sheets: Record<string, Record<string, unknown>>;
    };
    for (let again = 0; again < 2; again++) expect(parseBuild(value, judged)).toEqual(parseBuild(value));
    const first = Object.keys(value.sheets)[0];
    if (first === undefined) continue;
    value.sheets[first]!.colour = 'red';
    expect(parseBuild(value, judged)).toEqual(parseBuild(value));
  }
});
