import { linkInside, linkName } from '@inch-tower/core';
import type { Burst, CardShare, Direction, FlowTold, Loaded, PoolFlow, Rate } from '@inch-tower/core';
import { countWords } from '../../words/format';
import { tb } from './poolWords';

export const rateWords = (mbPerS: number): string => `${Math.round(mbPerS).toLocaleString('en')} MB/s`;

const VERB: Readonly<Record<Direction, string>> = { reading: 'reads', writing: 'writes' };

/** What one client gets of the pool, and what holds it back. */
export function fastAnswer({ flow }: PoolFlow): string {
  const { reading, writing } = flow.one;
  if (!reading.neck || !writing.neck)
    return (
      `In the machine it reads ${rateWords(flow.inside.reading.mbPerS)} and writes ` +
      `${rateWords(flow.inside.writing.mbPerS)}; there is no network port.`
    );
  const isSame = reading.neck.link.group === writing.neck.link.group;
  const held = isSame
    ? `${linkName(reading.neck)} ${isMany(reading.neck) ? 'hold' : 'holds'} it back.`
    : `${linkName(reading.neck)} ${isMany(reading.neck) ? 'hold' : 'holds'} reading back, ` +
      `${linkInside(writing.neck)} writing.`;
  return `One client reads ${rateWords(reading.mbPerS)} and writes ${rateWords(writing.mbPerS)}. ${held}`;
}
const isMany = ({ link, count }: Loaded) => count > 1 && (link.kind === 'drive' || link.kind === 'cable');

/** What it would be with the narrow place cured. */
export function nextWords({ neck, next }: Rate, way: Direction): string | null {
  if (!neck || !next) return null;
  return (
    `Were that cured, it ${VERB[way]} ${rateWords(next.allowsMBps)}; ` + `then ${linkInside(next)} would hold it back.`
  );
}

/** Flash or a crowd of disks behind a network that carries a small part of what they give. */
const MANY_TIMES = 3;
export function wasteWords({ medium, drivesOver, flow }: PoolFlow): string | null {
  const { neck } = flow.one.reading;
  if (drivesOver < MANY_TIMES || !neck || neck.link.kind === 'drive') return null;
  const what = medium === 'flash' ? 'The SSDs' : 'The disks';
  return (
    `${what} could give ${Math.round(drivesOver)} times as much: ` + `in a row it is wasted on ${linkInside(neck)}.`
  );
}

const gb = (value: number): string => (value >= 1000 ? tb(value / 1000) : `${Number(value.toPrecision(2))} GB`);

export function burstWords({ kind, gb: size, mbPerS, thenMBps }: Burst): string {
  switch (kind) {
    case 'memoryWrites':
      return (
        `Memory takes about the first ${gb(size)} of a write at ${rateWords(mbPerS)}, ` +
        `then it is ${rateWords(thenMBps)}.`
      );
    case 'memoryReads':
      return `What was read lately, about ${gb(size)}, comes from memory at ${rateWords(mbPerS)}.`;
    case 'cache':
      return mbPerS > thenMBps * 1.1
        ? `What is in the read cache, up to ${gb(size)}, is read at ${rateWords(mbPerS)} ` +
            `instead of ${rateWords(thenMBps)}.`
        : `The read cache of ${gb(size)} reads no faster in a row than the pool; it helps small reads alone.`;
  }
}

export function cardWords({ mark, name, drives, wantMBps, givesMBps, wanted }: CardShare): string | null {
  return wanted > 1
    ? `${countWords(drives, 'drive')} on ${mark}, ${name}, could give ${rateWords(wantMBps)}; ` +
        `it passes on ${rateWords(givesMBps)}: they want ${wanted} such cards.`
    : null;
}

export const smallWords = ({ small }: PoolFlow): string =>
  `Small and at random: about ${Math.round(small.reading).toLocaleString('en')} reads or ` +
  `${Math.round(small.writing).toLocaleString('en')} writes a second, from the drives.`;

/** With several clients, where that differs. */
export function severalWords({ flow }: PoolFlow): string | null {
  const { one, several, ports } = flow;
  return several.reading.mbPerS > one.reading.mbPerS * 1.02 || several.writing.mbPerS > one.writing.mbPerS * 1.02
    ? `Several clients together read ${rateWords(several.reading.mbPerS)} and write ` +
        `${rateWords(several.writing.mbPerS)}: each is on one of ${ports.length} links.`
    : null;
}

export const networkTold = ({ ports, isSaid }: FlowTold): string =>
  ports.length === 0
    ? 'No network port.'
    : isSaid
      ? ''
      : `Taken to be plugged in by one of its fastest ports, ${ports[0]} Gb/s.`;
