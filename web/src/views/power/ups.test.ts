import type { MainsLine, UpsTime } from '@inch-tower/core';
import { hangsOn, headroomWords, upsRows } from './upsWords';

const ranged = (value: number) => ({ value, lo: value * 0.9, hi: value * 1.1 });
const ups = (watts: number, va: number, minutes: number | null): UpsTime => ({
  unit: 'u9' as never,
  mark: 'K1',
  name: 'Sump 700',
  ratedW: 400,
  ratedVa: 700,
  waveform: 'stepped',
  ageYears: null,
  otherW: 0,
  hanging: [],
  states: [{ state: 'peak', watts: ranged(watts), va: ranged(va), minutes: minutes === null ? null : ranged(minutes) }],
});

test('how full a UPS is goes by W or VA, whichever is nearer to its limit', () => {
  expect(headroomWords(ups(200, 600, 5))).toEqual({
    words: '86 % full at the most: 600 of 700 VA; less than a fifth is left. From its battery it gives steps.',
    tone: 'warn',
  });
  expect(headroomWords(ups(200, 210, 5)).tone).toBe('');
  expect(headroomWords(ups(500, 510, null))).toMatchObject({
    words: expect.stringMatching(/^125 % full at the most: 500 of 400 W; it drops out\./),
    tone: 'bad',
  });
});

test('minutes with their range, and none where it does not carry', () => {
  expect(upsRows(ups(200, 210, 5))).toEqual([
    { state: 'at its most', watts: '200', va: '210', isHeld: true, minutes: '5.0 min', range: '4.5–5.5' },
  ]);
  expect(upsRows(ups(500, 510, null))[0]).toMatchObject({ isHeld: false, minutes: 'not at all: more than it gives' });
});

test('two of one name are told apart by their marks; what is on none is in the wall', () => {
  const [one, other] = [ups(1, 1, 1), { ...ups(1, 1, 1), unit: 'u8' as never, mark: 'K2' }];
  const on = (unit: string | null) => ({ on: unit }) as unknown as MainsLine;
  expect([on('u9'), on('u8'), on(null)].map((line) => hangsOn(line, [one, other]))).toEqual([
    'K1 Sump 700',
    'K2 Sump 700',
    'the wall',
  ]);
  expect(hangsOn(on('u9'), [one])).toBe('Sump 700');
});
