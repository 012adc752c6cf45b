import type { Explained, Reading, ReadingTold } from '@inch-tower/core';

type What = Reading['what'];

export const WHAT: Readonly<Record<What, { readonly label: string; readonly unit: string }>> = {
  driveC: { label: 'Hottest drive', unit: '°C' },
  earDb: { label: 'Noise', unit: 'dB(A)' },
  wallW: { label: 'At the wall', unit: 'W' },
};
export const STATE: Readonly<Record<string, string>> = {
  off: 'off',
  asleep: 'asleep',
  idle: 'idle',
  working: 'at work',
  busy: 'all busy',
  peak: 'fans at full',
  start: 'while drives start',
};
export const INSTRUMENT: Readonly<Record<NonNullable<Reading['instrument']>, string>> = {
  wallMeter: 'Wall meter, ±2 %',
  upsDisplay: 'Display of a UPS, ±5 %',
  soundMeter: 'Sound level meter, ±1.5 dB',
  phone: 'Phone, ±3 dB',
  sensor: 'The drive’s own sensor, ±2 K',
};
export const INSTRUMENTS_OF: Readonly<Record<What, readonly NonNullable<Reading['instrument']>[]>> = {
  driveC: ['sensor'],
  earDb: ['phone', 'soundMeter'],
  wallW: ['wallMeter', 'upsDisplay'],
};
export const STATES_OF: Readonly<Record<What, readonly Reading['state'][]>> = {
  driveC: ['idle', 'working', 'busy'],
  earDb: ['idle', 'working', 'peak'],
  wallW: ['asleep', 'idle', 'working', 'busy', 'start'],
};

const number = (value: number, unit: string): string =>
  `${unit === 'W' && value >= 10 ? Math.round(value) : Number(value.toFixed(1))} ${unit}`;

/** What was read and how things were then. */
export function readWords({ what, value, state, duty, roomC, distanceMm, offDb, otherW }: Reading): string {
  const { label, unit } = WHAT[what];
  return [
    `${label} ${number(value, unit)}, ${STATE[state]}`,
    ...(duty === undefined ? [] : [`fans at ${Math.round(duty * 100)} %`]),
    ...(roomC === undefined ? [] : [`room ${Math.round(roomC)} °C`]),
    ...(distanceMm === undefined ? [] : [`${Number((distanceMm / 1000).toFixed(2))} m away`]),
    ...(offDb === undefined ? [] : [`room ${number(offDb, 'dB(A)')}`]),
    ...(otherW ? [`with ${number(otherW, 'W')} of other things`] : []),
  ].join(', ');
}

/** What was reckoned for it, and what the reading is good for. */
export function againstWords({ reading, own, reckoned, use }: ReadingTold): string {
  const { unit } = WHAT[reading.what];
  const machine = Math.abs(own - reading.value) > 0.05 ? `The machine’s part: ${number(own, unit)}. ` : '';
  const told = reckoned
    ? `From sheets alone: ${number(reckoned.value, unit)}, ${number(reckoned.lo, unit).split(' ')[0]} to ` +
      `${number(reckoned.hi, unit)}.`
    : '';
  const isFar = reckoned !== null && (own < reckoned.lo || own > reckoned.hi);
  const USE: Readonly<Record<ReadingTold['use'], string>> = {
    asRead: isFar ? 'Far from it: see that it was read so, and that the machine is the one planned here.' : '',
    carried: 'The machine was changed since; what differed is carried over, in twice the doubt.',
    atMost: 'So quiet that it counts as at most that.',
    withinLimit: 'So quiet that it says no more than “not louder”.',
    notReckoned: 'Nothing is reckoned for it yet, so it narrows nothing.',
    otherMachine: 'The machine was changed since, and what was reckoned then is not known: it narrows nothing.',
  };
  return [machine + told, USE[use]].filter(Boolean).join(' ');
}

/** Numbers of the model in words, by what they being more or less means. */
const GIVEN: readonly (readonly [start: string, less: string, more: string])[] = [
  [
    'The chassis against',
    'air gets through the chassis more easily than is typical',
    'air gets through the chassis less easily than is typical',
  ],
  ['Fans against their curves', 'the fans move less than their sheets say', 'the fans move more than their sheets say'],
  ['A fan at its curve', 'the fans turn slower than their curves say', 'the fans turn faster than their curves say'],
  ['Heat out of a drive', 'the drives give off their heat more easily', 'the drives give off their heat less easily'],
  ['Heat out of a cooler', 'the cooler carries more off', 'the cooler carries less off'],
  ['Heat out of a module', 'modules and chips cool more easily', 'modules and chips cool less easily'],
  ['A cupboard', 'the cupboard gives off less heat', 'the cupboard gives off more heat'],
  ['Room,', 'the room is harder and rings more', 'the room is softer and swallows more'],
  ['Mounting', 'the drives send less into the steel', 'the drives send more into the steel'],
  ['Path', 'the chassis keeps more of the noise in', 'the chassis lets more of the noise out'],
  ['Door', 'the door keeps less of it in', 'the door keeps more of it in'],
];

/** What most likely explains how readings differ from what was reckoned; empty where they do not. */
export function explainWords(explains: readonly Explained[]): string {
  if (explains.length === 0) return '';
  const each = explains.map(({ source, about, label, unit, by }) => {
    const at = by < 0 ? 1 : 2;
    if (source === 'instrument') return by < 0 ? 'it was read too low' : 'it was read too high';
    if (source === 'given') return GIVEN.find(([start]) => label.startsWith(start))?.[at] ?? label;
    const what = [by < 0 ? 'less' : 'more', unit, label.toLowerCase()].filter(Boolean).join(' ');
    return source === 'typical'
      ? `${KIND[about] ?? about}: ${what} than is typical`
      : `${about}: ${what} than its sheet says`;
  });
  return `What explains it with the least: ${each.join('; ')}.`;
}
const KIND: Readonly<Record<string, string>> = {
  board: 'the board',
  processor: 'the processor',
  drive: 'the drives',
  fan: 'the fans',
  controller: 'the controller',
  networkCard: 'the network card',
  memory: 'the memory',
  supply: 'the supply',
  chassis: 'the chassis',
};
