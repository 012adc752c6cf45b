import { memoWeak } from '../memoLast';
import { factOf, type Part, type PartOf } from '../parts/resolve';
import type { PlugKind } from '../parts/vocabulary';
import type { PlugInput } from './plugInputs';

/** Splitters are made for these alone; a board's or a card's own input wants a plug of its own. */
const SPLITTABLE: ReadonlySet<PlugKind> = new Set(['sata-power', 'peripheral']);
export const isSplittable = (plug: PlugKind): boolean => SPLITTABLE.has(plug);

/** One supply, or several of a box, by the cables they have. */
export type Cabled = Pick<PartOf<'supply'>, 'cables'>;
/** Plugs of a kind on all cables of a supply. */
export const plugsOn = ({ cables }: Cabled, plug: string): number =>
  cables.reduce(
    (sum, cable) => sum + cable.count * cable.plugs.reduce((all, one) => all + (one.plug === plug ? one.count : 0), 0),
    0,
  );

/** What a plug carries a rail, A: three 1.5 A pins (SATA 3.x), or one 4-pin contact. */
export const PLUG_A: Partial<Record<PlugKind, number>> = { 'sata-power': 4.5, peripheral: 8 };
/** What a cable carries on a rail, A: one conductor by its gauge (AWG), and no more than the pin at the supply. */
export const wireA = (gaugeAwg: number): number =>
  Math.min(8, gaugeAwg <= 16 ? 13 : gaugeAwg <= 18 ? 9 : gaugeAwg <= 20 ? 6 : 3);
/** A start is over within seconds: so much more of it is a caution and blocks nothing. */
export const AT_START = 1.25;

/** What hangs on one plug: spinning disks, and A on 12 V at their start and on 5 V. */
export type PlugLoad = {
  readonly plug: PlugKind;
  readonly disks: number;
  readonly a12: number;
  readonly a5: number;
};
/** Which end of the range of what a drive takes is counted, or what is likely. */
export type End = 'lo' | 'value' | 'hi';

const VOLTS = 12;

/** W of what a plug feeds itself at its most: a processor, a card, or a fan on a hub. */
export const mostW = (part: Part, end: End): number =>
  part.kind === 'fan' ? factOf(part, 'maxW')[end] : 'peakW' in part ? factOf(part, 'peakW')[end] : 0;

/**
 * What each input puts on its plug; the inputs of one group, as they are among `all`, share equally. Of drives that do
 * not start together at most `atOnce` start at one moment: that many are counted at their high end, none as certain.
 */
export function loadsOf(
  inputs: readonly PlugInput[],
  end: End,
  atOnce = Infinity,
  all: readonly PlugInput[] = inputs,
): PlugLoad[] {
  return inputs.flatMap((input) => {
    const ownA = input.feeds.reduce((sum, { part }) => sum + mostW(part, end) / VOLTS, 0);
    const share = 1 / all.filter((one) => one.group === input.group).reduce((sum, one) => sum + one.count, 0);
    const drives = input.drives.map(({ part }) => driveA[end](part));
    const starting = end === 'hi' || atOnce === Infinity ? atOnce : 0;
    const load: PlugLoad = {
      plug: input.plug,
      disks: input.drives.filter(({ part }) => part.medium === 'disk').length * share,
      a12: (ownA + together(drives, 'a12', starting)) * share,
      a5: together(drives, 'a5', starting) * share,
    };
    return Array.from({ length: input.count }, () => ({ ...load }));
  });
}

type DriveAmps = Readonly<Record<'run' | 'start', { readonly a12: number; readonly a5: number }>>;

/** A of drives of which so many start, those that take most for it, and the others work. */
function together(drives: readonly DriveAmps[], rail: 'a12' | 'a5', starting: number): number {
  const more = drives.map(({ run, start }) => start[rail] - run[rail]).sort((a, b) => b - a);
  return (
    drives.reduce((sum, { run }) => sum + run[rail], 0) +
    more.slice(0, Math.min(starting, more.length)).reduce((sum, one) => sum + one, 0)
  );
}

/** What one drive takes on its rails, A, at each end: at work, and at its start where that is more. */
const driveA: Readonly<Record<End, (part: PartOf<'drive'>) => DriveAmps>> = {
  lo: memoWeak((part) => driveAt(part, 'lo')),
  value: memoWeak((part) => driveAt(part, 'value')),
  hi: memoWeak((part) => driveAt(part, 'hi')),
};

function driveAt(part: PartOf<'drive'>, end: End): DriveAmps {
  const amps = (rail: 'a12' | 'a5', busy: 'busy12A' | 'busy5A') => {
    const run = factOf(part, busy)[end];
    const start = Math.max(0, ...part.spinUp.map((step) => step[rail]));
    return { run, start: Math.max(run, factOf(part, 'spinUp', start, `spinUp.${rail}`)[end]) };
  };
  const [twelve, five] = [amps('a12', 'busy12A'), amps('a5', 'busy5A')];
  return { run: { a12: twelve.run, a5: five.run }, start: { a12: twelve.start, a5: five.start } };
}
