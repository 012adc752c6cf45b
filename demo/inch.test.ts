import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { buildJsonSchema, partsJsonSchema } from '@inch-tower/core';

const inch = (args: readonly string[], input = '') => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/run/inch.ts', ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
};
const build = (name: string) => `demo/builds/${name}.json`;

test.each([
  ['a sound build', ['assess', build('school-shelf')], 0],
  ['an unfinished one', ['assess', build('reading-room')], 0],
  ['an unfinished one that should be complete', ['assess', build('reading-room'), '--complete'], 1],
  ['a blocked one', ['assess', build('hall-cupboard')], 1],
] as const)('%s', (_name, args, code) => {
  const { status, stdout } = inch(args);
  expect(status).toBe(code);
  const assessment = JSON.parse(stdout) as { status: string; figures: object; snags: { what: string }[] };
  expect(Object.keys(assessment)).toEqual(
    expect.arrayContaining(['status', 'figures', 'snags', 'layout', 'needs', 'open']),
  );
  for (const snag of assessment.snags) expect(snag.what.length).toBeGreaterThan(10);
});

test('a part out of the text of a specification, with the line of each field', () => {
  const text = 'Keel 9 TB hard drive\nInterface: SATA 6 Gb/s\nIdle: 5,1 W\n';
  const { status, stdout } = inch(['sheet', '-'], text);
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({
    kind: 'drive',
    values: { capacityBytes: 9e12, interface: 'sata', gbPerLane: 6, idleW: 5.1 },
    lines: { idleW: { line: 3, text: 'Idle: 5,1 W' } },
  });
  expect(inch(['sheet', '-', '--kind=cake'], text)).toMatchObject({ status: 2 });
  expect(inch(['sheet', '-'], 'Lunch is at noon.').stderr).toContain('choose it');
});

test('as a report, and from standard input', () => {
  const { status, stdout } = inch(['assess', '-', '--text'], readFileSync(build('hall-cupboard'), 'utf8'));
  expect(status).toBe(1);
  expect(stdout).toContain('Hall cupboard: 2 blockers, 2 cautions');
  expect(stdout).toContain('blocker: Fell 74 is 4 mm too high');
});

test.each([
  ['no such file', ['assess', 'nowhere.json'], '', 'cannot be read (ENOENT)'],
  ['not a build', ['assess', 'package.json'], '', 'it says no format'],
  ['not JSON', ['assess', '-'], 'hello', 'it is not JSON'],
  ['no command', [], '', 'Usage'],
  ['an unknown flag', ['assess', build('school-shelf'), '--loud'], '', 'assess has no --loud'],
] as const)('unusable input ends with 2 and says why: %s', (_name, args, input, words) => {
  const { status, stdout, stderr } = inch(args, input);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr).toContain(words);
});

test('bill and drawing', () => {
  expect(inch(['bill', build('field-kit')]).stdout).toContain('Together');
  expect(inch(['drawing', build('field-kit')]).stdout).toContain('<svg xmlns');
});

test('the published schemas are those the files are checked with', () => {
  expect(JSON.parse(readFileSync('docs/schema/build-2.schema.json', 'utf8'))).toEqual(
    JSON.parse(JSON.stringify(buildJsonSchema())),
  );
  expect(JSON.parse(readFileSync('docs/schema/parts-1.schema.json', 'utf8'))).toEqual(
    JSON.parse(JSON.stringify(partsJsonSchema())),
  );
});
