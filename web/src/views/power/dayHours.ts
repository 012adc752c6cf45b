import type { Build } from '@inch-tower/core';

type Profile = Build['profile'];
export type HourState = Profile['weekday'][number];
export type Days = 'weekday' | 'weekend';

export const HOUR_WORDS: Readonly<Record<HourState, string>> = {
  off: 'off',
  asleep: 'asleep',
  idle: 'idle',
  working: 'at work',
  busy: 'busy',
};
/** Least first. */
export const HOUR_STATES = Object.keys(HOUR_WORDS) as readonly HourState[];

/** A day with the hours from one to another (either way round, both included) in a state. */
export function painted(day: readonly HourState[], from: number, to: number, state: HourState): HourState[] {
  const [first, last] = [Math.min(from, to), Math.max(from, to)];
  return day.map((was, hour) => (hour >= first && hour <= last ? state : was));
}

/** The profile with hours of its days set; the same object where nothing changes. */
export function withHours(
  profile: Profile,
  days: readonly Days[],
  from: number,
  to: number,
  state: HourState,
): Profile {
  const changes = days.filter((one) =>
    painted(profile[one], from, to, state).some((now, i) => now !== profile[one][i]),
  );
  return changes.reduce((all, one) => ({ ...all, [one]: painted(profile[one], from, to, state) }), profile);
}

/** "Weekdays 8 to 18: at work". */
export const hoursWords = (days: readonly Days[], from: number, to: number, state: HourState): string =>
  `${days.length === 2 ? 'Every day' : days[0] === 'weekday' ? 'Weekdays' : 'Weekends'} ` +
  `${Math.min(from, to)} to ${Math.max(from, to) + 1}: ${HOUR_WORDS[state]}`;
