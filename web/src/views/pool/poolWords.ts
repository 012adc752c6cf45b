import {
  type MovedOut,
  FULL_SHARE,
  LAYOUTS,
  type Brief,
  type Breaks,
  type Dealt,
  type PoolSeen,
  type PoolTold,
  type PoolWay,
  type SetLayout,
  type Struck,
  type Thing,
} from '@inch-tower/core';
import { countWords } from '../../words/format';
import { KIND_OF_THING, struckWords, thingName, type StruckTold } from '../../words/struck';

export const LAYOUT_HELP: Readonly<Record<SetLayout, string>> = {
  single: 'What is on a drive is lost with it.',
  stripe: 'One drive lost is all lost.',
  mirror2: 'Every byte on two drives; partners stand one after the other.',
  mirror3: 'Every byte on three drives.',
  parity1: 'Any one drive of the set may fail.',
  parity2: 'Any two drives of the set may fail.',
  parity3: 'Any three drives of the set may fail.',
  dedicated1: 'The largest drive keeps parity, the others may be of any size.',
  dedicated2: 'The two largest keep parity, the others may be of any size.',
};

export const tb = (value: number): string => {
  if (value < 1) return `${Math.round(value * 1000)} GB`;
  return `${value >= 100 ? Math.round(value) : Number(value.toFixed(1))} TB`;
};
const tib = (value: number): string => {
  const units = (value * 1e12) / 2 ** 40;
  return `${units >= 100 ? Math.round(units) : Number(units.toFixed(1))} TiB`;
};

type Answer = { readonly words: string; readonly tone: 'good' | 'warn' | 'bad' | 'text-mid' };

/** How much can I store, and how many drives may fail. */
export function storeAnswer({ sets, isProposed, all, loose }: PoolSeen, wishTb: number | undefined): Answer {
  if (sets.length === 0)
    return loose.length > 0
      ? { words: `No set yet: ${countWords(loose.length, 'data drive')}, ${tb(all.rawTb)} raw.`, tone: 'warn' }
      : { words: 'No data drive yet.', tone: 'text-mid' };
  const fail =
    all.any === 0
      ? 'no drive may fail'
      : `any ${all.any === 1 ? 'one drive' : `${all.any} drives`}${sets.length > 1 ? ' of a set' : ''} may fail`;
  const start = isProposed ? 'As proposed ' : '';
  const words = `${start}${tb(all.usableTb)} usable (${tib(all.usableTb)}); ${fail}.`;
  if (wishTb !== undefined && all.usableTb < wishTb)
    return { words: `${words} ${tb(wishTb)} are wished.`, tone: 'warn' };
  return { words, tone: all.any === 0 ? 'bad' : 'good' };
}

/** What is taken off on the way from all drives to what is usable, in a sentence each. */
export function workingWords({ usableTb, leastTb, rawTb, redundancyTb, wastedTb }: PoolTold): string {
  return [
    `${tb(rawTb)} raw`,
    ...(redundancyTb > 0 ? [`less ${tb(redundancyTb)} for failures`] : []),
    ...(wastedTb > 0.05 ? [`less ${tb(wastedTb)} that these sizes and sets leave unused`] : []),
  ]
    .join(', ')
    .concat(
      `. Records and the file system take up to ${tb(usableTb - leastTb)} of it. ` +
        `Fill it to about ${tb(FULL_SHARE * leastTb)}: past four fifths it slows down.`,
    );
}

/** "3 sets of 8 in double parity", "4 pairs, mirrored". */
export function wayName({ layout, widths, over }: Pick<PoolWay, 'layout' | 'widths' | 'over'>): string {
  const [first = 0] = widths;
  const left = over > 0 ? `, ${over} over` : '';
  if (layout === 'mirror2') return `${countWords(Math.floor(first / 2), 'mirrored pair')}${left}`;
  if (layout === 'mirror3') return `${countWords(Math.floor(first / 3), 'mirror')} of three${left}`;
  if (widths.length === 1) return `${LAYOUTS[layout].words}, ${countWords(first, 'drive')}${left}`;
  const isEven = widths.every((width) => width === first);
  const of = isEven ? `${widths.length} × ${first}` : widths.join(' + ');
  return `${LAYOUTS[layout].words}, ${of} drives${left}`;
}

/** Chance in words a builder can weigh: one in so many. */
export function oneIn(chance: number): string {
  if (chance >= 0.2) return `${Math.round(chance * 100)} %`;
  const many = 1 / chance;
  if (many >= 1e6) return '1 in a million';
  const digits = 10 ** Math.max(0, Math.floor(Math.log10(many)) - 1);
  return `1 in ${(Math.round(many / digits) * digits).toLocaleString('en')}`;
}

export const hoursWords = (hours: number): string =>
  hours === 0
    ? 'none'
    : hours < 48
      ? `${Math.round(hours)} h`
      : `${Number((hours / 24).toFixed(hours < 240 ? 1 : 0))} days`;

/** The layout in place, and how many others these drives could have. */
export function layoutAnswer(ways: readonly PoolWay[], now: string): string {
  const mine = ways.find(({ key }) => key === now);
  const others = ways.length - (mine ? 1 : 0);
  const told = mine ? `Now ${wayName(mine)}; ` : '';
  return `${told}${countWords(others, mine ? 'other way' : 'way')} to lay them out.`;
}

/** For what room sizes of drives are compared. */
export function sizesAnswer({ usableTb }: Brief, { usableTb: now }: PoolTold): string {
  if (usableTb !== undefined) return `Every size on sale for the ${tb(usableTb)} the brief wishes.`;
  return now > 0
    ? `Every size on sale for the ${tb(now)} of now; the brief wishes none.`
    : 'The brief wishes no room yet.';
}

/** What takes a set with it by itself, besides drives, in a line. */
export function breaksAnswer({ singles }: Breaks): { readonly words: string; readonly tone: string } {
  const rows = breakRows(singles);
  const bad = rows.filter(({ tone }) => tone === 'bad');
  const [first] = bad;
  if (first) return { words: `${first.what}: ${lowerFirst(first.says)}`, tone: 'warn' };
  return { words: 'No single drive, card, cable or supply takes a set with it.', tone: 'good' };
}

/** What dealing the drives over cards and cables saves; what it asks for first. */
export function dealtWords({ saved, left }: Dealt, inUse: boolean): string {
  const first = inUse ? 'Or other sets; a pool in use is copied off first. ' : '';
  return `${first}Dealt over what they hang on, ${savedWords(saved, left)}`;
}

/** What moving drives to other bays saves: it asks for their labels and nothing else. */
export const movedWords = ({ saved, left }: Pick<MovedOut, 'saved' | 'left'>): string =>
  `Each takes another’s bay and stays in its set; nothing is written anew: ${savedWords(saved, left)}`;

function savedWords(saved: readonly Struck[], left: number): string {
  const kinds = new Map<string, Struck[]>();
  for (const one of saved) {
    const kind = one.things[0]?.kind ?? '';
    kinds.set(kind, [...(kinds.get(kind) ?? []), one]);
  }
  const which = [...kinds.values()].map((of) => lowerFirst(whatOf(of)).replace(/, each$/, '')).join(' and ');
  const more = left > 0 ? `; ${countWords(left, 'other thing still does', 'other things still do')}` : '';
  return `${which} no longer take${saved.length === 1 ? 's' : ''} a set${more}.`;
}

/** `things` are those that a press strikes out, where the row is about few. */
export type BreakRow = StruckTold & { readonly what: string; readonly things: readonly Thing[] };

/** Things that do the same to the sets stand together, the worst first. */
export function breakRows(singles: readonly Struck[]): readonly BreakRow[] {
  const rows = new Map<string, { of: Struck[]; says: string; tone: BreakRow['tone'] }>();
  for (const one of singles) {
    const { says, tone } = struckWords(one);
    const key = `${one.things[0]?.kind ?? ''}|${says}`;
    const known = rows.get(key);
    if (known) known.of.push(one);
    else rows.set(key, { of: [one], says, tone });
  }
  return [...rows.values()].map(({ of, says, tone }) => ({
    what: whatOf(of),
    says,
    tone,
    things: of.flatMap(({ things: [first] }) => (first ? [first] : [])),
  }));
}

function whatOf(of: readonly Struck[]): string {
  const things = of.flatMap(({ things: [first] }) => (first ? [first] : []));
  const [first] = things;
  if (!first) return '';
  if (things.length === 1) return thingName(first);
  if (first.kind === 'drive') return `Any of ${things.length} drives`;
  const marks = things.map(({ mark }) => mark).join(', ');
  if (first.kind === 'cage') return things.map(({ name }) => name).join(', or ');
  if (first.kind === 'fans') return `${[...new Set(things.map(({ name }) => name))].join(', or ')} standing still`;
  return `${first.kind === 'supply' ? 'Supplies' : `${KIND_OF_THING[first.kind]}s`} ${marks}, each`;
}

/** Pairs that lose a set which neither loses alone, told once for each kind of pair. */
export function pairRows({ pairs, drivePairs }: Breaks): readonly string[] {
  const rows = new Map<string, { count: number; lost: Set<string>; first: Struck }>();
  for (const pair of pairs) {
    const [one, other] = [...pair.things].sort((a, b) => Number(a.kind === 'drive') - Number(b.kind === 'drive'));
    if (!one || !other) continue;
    // A thing with any of many drives is one line, as are cards of a kind with each other.
    const key = other.kind === 'drive' ? `${one.key}|drive` : `${one.kind}|${other.kind}`;
    const known = rows.get(key) ?? { count: 0, lost: new Set<string>(), first: pair };
    known.count++;
    for (const { id, state } of pair.sets) if (state === 'lost') known.lost.add(id);
    rows.set(key, known);
  }
  const told = [...rows.values()].map(({ count, lost, first }) => {
    const [one, other] = [...first.things].sort((a, b) => Number(a.kind === 'drive') - Number(b.kind === 'drive'));
    const down = `${[...lost].join(', ')} ${lost.size === 1 ? 'is' : 'are'} down`;
    const both = `${thingName(one!)} and ${lowerFirst(thingName(other!))}`;
    if (other!.kind === 'drive' && count > 1) return `${thingName(one!)} and any of ${count} drives: ${down}.`;
    return `${count > 1 ? `${count} pairs as ` : ''}${both}: ${down}.`;
  });
  const { lose, of } = drivePairs;
  const two = lose === of ? 'Any two drives' : `${lose} of ${of} pairs of drives`;
  return lose > 0 ? [`${two}: a set is lost.`, ...told] : told;
}
const lowerFirst = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
