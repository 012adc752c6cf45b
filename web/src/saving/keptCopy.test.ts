import { readFileSync } from 'node:fs';
import { FORMAT } from '@inch-tower/core';
import { commit } from '@inch-tower/core';
import { joinOnto } from './join';
import { readKeptCopy } from './keptCopy';

const old = (): Record<string, unknown> =>
  JSON.parse(readFileSync('core/src/testing/formats/1/kept-copy.json', 'utf8')) as Record<string, unknown>;

test('what a browser kept in format 1 is read: its machine and its edits are of the newest', () => {
  const copy = readKeptCopy({ ...old(), sent: [{ build: old().build, covers: 2 }] })!;
  expect(copy.build.format).toBe(FORMAT);
  expect(copy.edits.map((step) => step.map((edit) => edit.type))).toEqual([
    ['cable.put', 'layout.set'],
    ['cable.how'],
    ['set.profile'],
    ['set.name'],
    ['restore'],
    ['set.readings'],
  ]);
  expect(copy.sent).toEqual([{ build: copy.build, covers: 2 }]);
  expect(copy.etag).toBe('e1');
});

test('its edits can be put on another version, but for what only that version could take back', async () => {
  const copy = readKeptCopy(old())!;
  const joined = await joinOnto(copy.build, copy.edits, (build, edits) => Promise.resolve(commit(build, edits)));
  expect(joined.left).toBe(1);
  expect(joined.build.profile).toEqual(copy.build.profile);
});

test.each([null, 3, {}, { build: {}, etag: 'e', edits: [] }, { ...old(), edits: 'x' }, { ...old(), etag: 7 }])(
  'what is no copy is left where it is',
  (copy) => {
    expect(readKeptCopy(copy)).toBeNull();
  },
);
