import type { Build, Met, Service, WishRow } from '@inch-tower/core';
import { plainNumber, wholeMoneyWords } from '../../words/format';

const LABELS: Readonly<Record<Exclude<WishRow['wish'], 'service'>, string>> = {
  usableTb: 'Room for data now',
  usableLaterTb: 'Room for data later',
  failuresSurvived: 'Drives that may fail',
  drivesLater: 'Drives later, in all',
  idleW: 'Idle at the wall',
  peakW: 'Peak at the wall',
  earDb: 'Noise at the ear',
  moneyMinor: 'Money to spend now',
  networkGbPerS: 'Network',
  rackUnits: 'Rack units',
  size: 'Size and weight',
  ecc: 'ECC memory',
  hotSwap: 'Hot swap',
  remoteManagement: 'Remote management',
  allFlash: 'All flash',
  fanless: 'No fan',
  shingled: 'Shingled drives',
  usbDrives: 'Data drives on USB',
  wornParts: 'Worn parts',
};
export const wishLabel = ({ wish, service }: WishRow): string =>
  wish === 'service' ? (service?.name ?? 'Service') : LABELS[wish];

const AT_LEAST: Readonly<Partial<Record<WishRow['wish'], string>>> = {
  usableTb: 'TB',
  usableLaterTb: 'TB',
  failuresSurvived: '',
  drivesLater: '',
  networkGbPerS: 'Gb/s',
};
const AT_MOST: Readonly<Partial<Record<WishRow['wish'], string>>> = {
  idleW: 'W',
  peakW: 'W',
  earDb: 'dB(A)',
  rackUnits: 'U',
};

/** What a service asks for: `must run, 8 GB, 0.5 cores, always on`. */
const serviceWords = ({ level, memoryGb, cores, alwaysOn }: Service): string =>
  [
    level === 'must' ? 'must run' : 'nice to have',
    ...(memoryGb ? [`${plainNumber(memoryGb)} GB`] : []),
    ...(cores ? [`${plainNumber(cores)} ${cores === 1 ? 'core' : 'cores'}`] : []),
    ...(alwaysOn ? ['always on'] : []),
  ].join(', ');

const LEVELS: Readonly<Record<WishRow['level'], string>> = {
  must: 'must have',
  nice: 'nice to have',
  not: 'not wanted',
};

/** What is wished, as short as it goes: `at least 40 TB`. */
export function wishedWords({ wish, limit, level, service }: WishRow, currency: Build['currency']): string {
  if (service) return serviceWords(service);
  if (limit === null) return wish === 'size' ? 'within the brief' : LEVELS[level];
  if (wish === 'moneyMinor') return `at most ${wholeMoneyWords(limit, currency)}`;
  const least = AT_LEAST[wish];
  const unit = least ?? AT_MOST[wish] ?? '';
  return `${least === undefined ? 'at most' : 'at least'} ${plainNumber(limit)}${unit === '' ? '' : ` ${unit}`}`;
}

/** A label within a sentence; what is written in capitals stays so. */
const lower = (label: string): string =>
  /^[A-Z]{2}/.test(label) ? label : label.charAt(0).toLowerCase() + label.slice(1);

export const MET_WORDS: Readonly<Record<Met, string>> = {
  yes: 'yes',
  perhaps: 'perhaps not',
  no: 'no',
  open: 'open',
};

/** How many wishes a machine meets, and which it does not: `5 of 7; not: noise at the ear`. */
export function metWords(wishes: readonly WishRow[], at: number): string {
  const yes = wishes.filter(({ met }) => met[at] === 'yes').length;
  const told = (which: Met, words: string): string => {
    const found = wishes.filter(({ met }) => met[at] === which);
    // What a builder calls a service stays as it was written.
    const names = found.map((row) => (row.service ? wishLabel(row) : lower(wishLabel(row))));
    return names.length === 0 ? '' : `; ${words}: ${names.join(', ')}`;
  };
  return `${yes} of ${wishes.length}${told('no', 'not')}${told('perhaps', 'perhaps not')}${told('open', 'open')}`;
}
