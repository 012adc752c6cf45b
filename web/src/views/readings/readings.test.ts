import type { Reading, ReadingTold } from '@inch-tower/core';
import { againstWords, explainWords, readWords } from './readingWords';

const reading: Reading = {
  id: 'r1',
  at: '2026-11-01',
  what: 'driveC',
  state: 'working',
  value: 41,
  kit: 'k',
  duty: 0.4,
  roomC: 21,
};
const told = (more: Partial<ReadingTold>): ReadingTold => ({
  reading,
  own: 41,
  reckoned: { value: 46.2, lo: 39.6, hi: 53.1 },
  use: 'asRead',
  ...more,
});

test('a reading says what was read and how things were', () => {
  expect(readWords(reading)).toBe('Hottest drive 41 °C, at work, fans at 40 %, room 21 °C');
  expect(readWords({ ...reading, what: 'wallW', value: 61.4, otherW: 12, duty: undefined, roomC: undefined })).toBe(
    'At the wall 61 W, at work, with 12 W of other things',
  );
});

test('against it stands what sheets alone gave, and what it is good for', () => {
  expect(againstWords(told({}))).toBe('From sheets alone: 46.2 °C, 39.6 to 53.1 °C.');
  expect(againstWords(told({ use: 'carried' }))).toMatch(/changed since; what differed is carried over/);
  expect(againstWords(told({ reading: { ...reading, what: 'earDb', value: 40 }, own: 37 }))).toMatch(
    /^The machine’s part: 37 dB\(A\)\. /,
  );
  expect(againstWords(told({ own: 60 }))).toMatch(/Far from it: see that it was read so/);
  expect(againstWords(told({ reckoned: null, use: 'notReckoned' }))).toBe(
    'Nothing is reckoned for it yet, so it narrows nothing.',
  );
});

test('what explains it is said so that less and more mean something', () => {
  const given = (label: string, by: number) => ({ source: 'given' as const, about: '', label, unit: '', by });
  expect(explainWords([])).toBe('');
  expect(
    explainWords([given('The chassis against what is typical of it', -0.8), given('Heat out of a drive', 0.5)]),
  ).toBe(
    'What explains it with the least: air gets through the chassis more easily than is typical; ' +
      'the drives give off their heat less easily.',
  );
  expect(explainWords([{ source: 'instrument', about: '', label: '', unit: '', by: 0.6 }])).toMatch(
    /it was read too high/,
  );
  expect(explainWords([{ source: 'typical', about: 'board', label: 'Idle', unit: 'W', by: 0.6 }])).toMatch(
    /the board: more W idle than is typical/,
  );
});
