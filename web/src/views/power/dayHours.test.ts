import { newBuild } from '@inch-tower/core';
import { hoursWords, painted, withHours } from './dayHours';

const { profile } = newBuild('b', 'B');

test('hours are painted either way round, both ends included', () => {
  const day = painted(profile.weekday, 18, 8, 'busy');
  expect(day.map((state) => state === 'busy')).toEqual(
    Array.from({ length: 24 }, (_, hour) => hour >= 8 && hour <= 18),
  );
  expect(painted(day, 0, 23, 'idle').every((state) => state === 'idle')).toBe(true);
});

test('only the days meant change, and what changes nothing is the same profile', () => {
  const now = withHours(profile, ['weekend'], 0, 6, 'asleep');
  expect(now.weekday).toBe(profile.weekday);
  expect(now.weekend.slice(0, 8)).toEqual([...Array<string>(7).fill('asleep'), profile.weekend[7]]);
  expect(withHours(now, ['weekend'], 2, 5, 'asleep')).toBe(now);
});

test('an act is named by its days, hours and state', () => {
  expect(hoursWords(['weekday'], 17, 8, 'working')).toBe('Weekdays 8 to 18: at work');
  expect(hoursWords(['weekday', 'weekend'], 0, 23, 'off')).toBe('Every day 0 to 24: off');
});
