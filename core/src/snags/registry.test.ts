import { tower550 } from '../testing/rules';
import { readFileSync, readdirSync } from 'node:fs';
import { cube } from '../testing/fixture';
import { RULES } from './registry';
import { rulesPage } from './rulesPage';
import { SNAG_CODES, WORDS, wordsOf } from './words';

test('every code has words and a rule, and none blocks a plain machine', () => {
  expect(Object.keys(RULES).sort()).toEqual([...SNAG_CODES].sort());
  for (const code of SNAG_CODES) expect(WORDS[code].why.length).toBeGreaterThan(10);
  expect(cube().add('stickle-250').add('barge-8', 4).snags()).toEqual([]);
  expect(tower550().add('reed-250').add('barge-8', 4).snags()).toEqual([]);
});

test('docs/rules.md is what the registry says', () => {
  expect(readFileSync('docs/rules.md', 'utf8')).toBe(rulesPage());
});

test('a snag keeps its key while the trouble is the same, and every sentence is short', () => {
  const made = cube().add('barge-8', 5);
  expect(made.assess().snags[0]!.key).toBe(made.set({ name: 'Other' }).assess().snags[0]!.key);
  for (const snag of cube().add('reed-250').add('barge-8', 9).add('clew-s16').assess().snags)
    expect(wordsOf(snag).what.split(/\s+/).length).toBeLessThanOrEqual(35);
});

test('every rule is spoken of in a test', () => {
  const files = ['core/src', 'demo'].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.test.ts'))
      .map((name) => readFileSync(`${folder}/${name}`, 'utf8')),
  );
  expect(SNAG_CODES.filter((code) => !files.some((text) => text.includes(`'${code}'`)))).toEqual([]);
});
