import type { Heard, OverAir, UnitId, WarmRow } from '@inch-tower/core';
import {
  drivesAnswer,
  heldWords,
  othersAnswer,
  overAirWords,
  quietWords,
  sameWords,
  slowestWords,
  soundAnswer,
} from './airWords';

const row = (value: number, lo: number, hi: number, more: Partial<WarmRow> = {}): WarmRow => {
  const day = { airC: 30, tempC: { value, lo, hi }, watts: 7 };
  return {
    key: 'one',
    name: 'Barge 8 TB',
    units: ['u1' as UnitId, 'u2' as UnitId],
    marks: ['A1', 'A2'],
    where: 'stream',
    limitC: 60,
    beside: [],
    behind: 0,
    slowsDown: false,
    on: { normal: day, hot: day },
    ...more,
  };
};
const boxes = (...rows: WarmRow[]) => [{ rows }] as unknown as Parameters<typeof drivesAnswer>[0];

test('whether drives live through the hottest day, by where their range is', () => {
  expect(drivesAnswer(boxes(row(48, 43, 54)))).toEqual({
    words: 'Yes. The nearest to its limit is 2 × Barge 8 TB: about 48 °C, 43 to 54, of 60 °C allowed.',
    tone: 'good',
  });
  expect(drivesAnswer(boxes(row(56, 50, 63))).words).toMatch(/^Probably\. /);
  expect(drivesAnswer(boxes(row(64, 55, 72)))).toMatchObject({
    tone: 'warn',
    words: expect.stringMatching(/^Probably not/) as string,
  });
  expect(drivesAnswer(boxes(row(75, 66, 84)))).toMatchObject({
    tone: 'bad',
    words: expect.stringMatching(/^No\. /) as string,
  });
  expect(drivesAnswer(boxes(row(75, 66, 84, { slowsDown: true }))).words).toMatch(/^They slow themselves down/);
  // The one with the least margin is told, not the hottest.
  const flash = row(64, 60, 66, { name: 'Pike', limitC: 85 });
  expect(drivesAnswer(boxes(flash, row(50, 45, 55))).words).toMatch(/Barge/);
  expect(drivesAnswer([]).words).toMatch(/^Not computed/);
  expect(drivesAnswer(boxes()).words).toBe('No drive is in a bay yet.');
});

test('what else is past its limit: what slows down, and what nothing holds', () => {
  const card = row(120, 90, 140, { name: 'Tern 8i', units: ['u5' as UnitId], where: 'card', limitC: 95 });
  const module = row(95, 70, 120, {
    name: 'Stickle',
    units: ['u6' as UnitId],
    where: 'board',
    slowsDown: true,
    limitC: 70,
  });
  expect(othersAnswer(boxes(card, module))).toBe(
    'Busy without a pause Stickle slows down. Past what it bears: Tern 8i.',
  );
  expect(othersAnswer(boxes(row(64, 55, 72)))).toBe('');
});

test('whether somebody sleeps beside it: against the wish, else the room', () => {
  const heard = (value: number, hi = value + 3): Heard[] => [
    { state: 'idle', ear: { value, lo: value - 3, hi }, sources: [] },
  ];
  expect(soundAnswer([], 22, undefined).tone).toBe('good');
  expect(soundAnswer(heard(15), 22, undefined).words).toMatch(/hardly heard above the room’s 22/);
  expect(soundAnswer(heard(20), 22, undefined).words).toMatch(/heard beside the room’s 22/);
  expect(soundAnswer(heard(42), 22, undefined)).toEqual({
    words: '42 dB(A) at the ear, idle: about 4 times louder than the room’s 22.',
    tone: 'warn',
  });
  expect(soundAnswer(heard(30), 22, 25)).toMatchObject({ tone: 'bad' });
  expect(soundAnswer(heard(24, 27), 22, 25)).toMatchObject({ tone: 'warn' });
  expect(soundAnswer(heard(30), 0, undefined).tone).toBe('text-mid');
});

test('the slowest the fans may turn, with how quiet that is', () => {
  expect(slowestWords({ duty: 0.3, marginK: 6, earDb: 23.6 })).toBe(
    'From 30 % on, 24 dB(A), every drive and card stays 5 K within its limit on the hottest day.',
  );
  expect(slowestWords(null)).toMatch(/^No speed/);
});

test('what holding a temperature takes', () => {
  const of = (normal: boolean, hot: boolean) =>
    heldWords({ normal: 0.3, hot: 0.65, holds: { normal, hot }, forCards: { normal: false, hot: false } }, 42);
  expect(of(true, true)).toBe('Held at 42 °C: 30 % on a normal day, 65 % on the hottest.');
  expect(of(true, false)).toBe('Held at 42 °C: 30 % on a normal day; on the hottest no speed holds it.');
  expect(of(false, false)).toMatch(/^No speed holds/);
  const forCards = { normal: false, hot: true };
  expect(heldWords({ normal: 0.3, hot: 0.65, holds: { normal: true, hot: true }, forCards }, 42, 80)).toBe(
    'Held at 42 °C, cards at 80 °C: 30 % on a normal day, 65 % on the hottest. The cards want it.',
  );
});

test('a quieter way says what it takes; a comparison who is louder, or by how much it is missed', () => {
  expect(quietWords({ duty: 0.84, delta: { 'cost.now': 89, 'power.idleWallW': -2.9 } }, 'EUR')).toBe(
    'fans at 84 % · +89 EUR · −3 W idle',
  );
  expect(quietWords({ duty: null, delta: {} }, 'EUR')).toBe('no price');
  const at = (earDb: number | null) => ({ duty: 0.4, hottestC: 40, earDb, wallW: 100, rpm: [] });
  const of = (mine: number | null, other: number | null, missesK = 0) =>
    sameWords({ mine: at(mine), other: at(other), missesK }, 'Boathouse');
  expect(of(30, 35.2)).toBe('this one is 5.2 dB quieter.');
  expect(of(35.2, 30)).toBe('this one is 5.2 dB louder.');
  expect(of(30, 30.3)).toBe('both are as loud.');
  expect(of(30, null)).toBe('only this one is heard.');
  expect(of(30, 25, 4.4)).toBe('no speed of its fans holds that: 4 K warmer.');
});

test('from winter to summer in one sentence, with where it ends', () => {
  const over = (until: number): OverAir => ({
    targetC: 50,
    points: Array.from({ length: 31 }, (_, i) => ({
      roomC: 10 + i,
      duty: 10 + i <= until ? 0.2 + i / 100 : null,
      earDb: 10 + i <= until ? 20 + i : null,
    })),
  });
  expect(overAirWords(over(40))).toBe(
    'To hold the hottest drive at 50 °C at work: 30 dB(A) with 20 °C in the room (fans at 30 %), ' +
      '42 dB(A) with 32 °C in the room (fans at 42 %).',
  );
  expect(overAirWords(over(28))).toMatch(/38 dB\(A\) with 28 °C.*Above 28 °C no speed holds it\.$/);
  expect(overAirWords(over(5))).toMatch(/no speed of the fans holds the hottest drive at 50 °C, however cool the room/);
});
