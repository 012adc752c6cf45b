import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Words that were given up for plainer ones: none of them comes back to a screen or a page. */
const OLD = [
  /\bleads?\b(?! to\b| on\b|-acid)/i,
  /Take (in|down)\b/,
  /Give out\b/,
  /Loose ends/,
  /\bSchedule of\b/,
  /Dark paper|Light paper/,
  /least trouble/,
  /Money now/,
  /Sound at the ear/,
  /Kept in this browser/,
  /\bover mark\b/,
  /What cures it/,
  /to the floor\b/i,
  /do(es)? not go here/,
  /word: 'Sound'/,
  /Room for drives/,
  /To get besides/,
];
/** Texts of the interface: what stands between quotes, backticks or tags, not what a comment or a name says. */
const files = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((one) => one.isFile() && /\.tsx?$/.test(one.name) && !one.name.includes('.test.'))
    .map((one) => join(one.parentPath, one.name));
const texts = (code: string): string =>
  code
    .split('\n')
    .filter((line) => !/^\s*(\/\/|\*|\/\*|import )/.test(line))
    .join('\n');

test.each(OLD.map((old) => [old] as const))('no screen says %s', (old) => {
  const found = [
    ...files('web/src'),
    'core/src/snags/words.ts',
    'core/src/open.ts',
    'core/src/figures/figures.ts',
  ].flatMap((file) =>
    texts(readFileSync(file, 'utf8'))
      .split('\n')
      .filter((line) => old.test(line))
      .map((line) => `${file}: ${line.trim()}`),
  );
  expect(found).toEqual([]);
});
