import type { Build, Reading } from '../../build/build';
import { heldDuty } from '../air/held';
import { dutyOn } from '../air/moment';
import { drivesAt, hottestOf } from '../air/temperatures';
import { FIELD_WORDS, type FactField } from '../../parts/fieldWords';
import type { FigureContext } from '../context';
import { offWallW } from '../power/off';
import { wallW } from '../power/wall';
import { Ledger, rangedOf, type Quantity } from '../quantity';
import { earDb } from '../sound/ear';
import { learn, type Compared, type Learned } from './learned';

type Instrument = NonNullable<Reading['instrument']>;

/**
 * How far an instrument may be off, and of that what differs between two readings with the same one. W in shares of the
 * reading and at least in W, dB(A), K. Meters IEC 62053 class 2; sound meters IEC 61672 class 2; sensors of drives.
 */
const ERRS: Readonly<Record<Instrument, { readonly share?: number; readonly off: number; readonly again: number }>> = {
  wallMeter: { share: 0.02, off: 1, again: 0.25 },
  upsDisplay: { share: 0.05, off: 5, again: 0.5 },
  soundMeter: { off: 1.5, again: 0.5 },
  phone: { off: 3, again: 1 / 3 },
  sensor: { off: 2, again: 0.5 },
};
const USUAL: Readonly<Record<Reading['what'], Instrument>> = { wallW: 'wallMeter', earDb: 'phone', driveC: 'sensor' };
/** What a reading of a machine that has changed since is in doubt by, in times of the instrument's. */
const CARRIED = 2;
/** A phone hears nothing for sure below this; nobody hears a machine less than so far above the room. */
const PHONE_FROM_DB = 40;
const LEAST_OVER_DB = 3;
/** Of so many readings, the newest. */
const MOST = 40;

/** A reading as it stands against what is reckoned for it. */
export type ReadingTold = {
  readonly reading: Reading;
  /** The machine's own part of what was read: W without what else hung on the meter, dB(A) without the room. */
  readonly own: number;
  /** What is reckoned for the moment it was read, before any reading is believed; null where nothing is. */
  readonly reckoned: { readonly value: number; readonly lo: number; readonly hi: number } | null;
  /** How it is used: as it is, from a machine that has changed since, as an upper limit, or why it is not. */
  readonly use: 'asRead' | 'carried' | 'atMost' | 'notReckoned' | 'otherMachine' | 'withinLimit';
};

type Judged = Omit<ReadingTold, 'reckoned'> & {
  readonly quantity: Quantity | null;
  readonly compared: Compared | null;
};

/** What is reckoned for the moment of a reading, from the sheets alone. */
export function reckonedFor(context: FigureContext, reading: Reading, ledger: Ledger): Quantity | null {
  const { learned: _, heldDuty: __, ...rest } = context;
  // What holds a temperature is solved without any reading, so that this is the same before and after one is believed.
  const held = reading.duty === undefined ? heldDuty(rest) : undefined;
  const duty =
    reading.duty ?? dutyOn(held ? { ...rest, heldDuty: held } : rest, reading.state === 'busy' ? 'hot' : 'normal');
  const at: FigureContext = { ...rest, policy: { ...context.policy, fans: { kind: 'fixed', duty } } };
  const { state } = reading;
  if (state === 'off') return reading.what === 'wallW' ? offWallW(at, ledger) : null;
  if (reading.what === 'wallW') return wallW(at, state, ledger);
  if (reading.what === 'driveC') {
    const roomC = reading.roomC ?? context.site.ambientC;
    return state === 'asleep' || state === 'start'
      ? null
      : hottestOf(drivesAt(at, { label: 'The room as read', state, roomC, duty }, ledger));
  }
  const site =
    reading.distanceMm === undefined
      ? context.site
      : { ...context.site, earMm: reading.distanceMm, door: 'none' as const };
  const heard = state === 'idle' ? 'idle' : state === 'peak' || state === 'start' ? 'peak' : 'working';
  return state === 'asleep' ? null : earDb({ ...at, site }, ledger, heard);
}

function judge(context: FigureContext, kit: string, reading: Reading): Judged {
  const quantity = reckonedFor(context, reading, new Ledger(false));
  const over = reading.offDb === undefined ? Infinity : reading.value - reading.offDb;
  const isFaint = reading.what === 'earDb' && over < LEAST_OVER_DB;
  const own =
    reading.what === 'wallW'
      ? reading.value - (reading.otherW ?? 0)
      : reading.what === 'earDb' && !isFaint
        ? // ISO 3744: the machine is what stays once the room is taken off as energy.
          reading.value + 10 * Math.log10(1 - 10 ** (-over / 10))
        : reading.value;
  const told = { reading, own, quantity };
  if (!quantity) return { ...told, compared: null, use: 'notReckoned' };
  const isSame = reading.kit === kit;
  if (!isSame && reading.reckoned === undefined) return { ...told, compared: null, use: 'otherMachine' };
  const instrument = reading.instrument ?? USUAL[reading.what];
  const isLimit = isFaint || (reading.what === 'earDb' && instrument === 'phone' && reading.value < PHONE_FROM_DB);
  const differs = own - (isSame ? quantity.value : reading.reckoned!);
  if (isLimit && differs >= 0) return { ...told, compared: null, use: 'withinLimit' };
  const { share = 0, off, again } = ERRS[instrument];
  const whole = Math.max(off, share * Math.abs(own)) * (isSame ? 1 : CARRIED);
  const errs = new Map([
    [`instrument.${instrument}`, whole * Math.sqrt(1 - again ** 2)],
    [`reading.${reading.id}`, whole * again],
  ]);
  const use = isLimit ? 'atMost' : isSame ? 'asRead' : 'carried';
  return { ...told, compared: { reckoned: quantity, differs, errs }, use };
}

const newest = (readings: readonly Reading[]): readonly Reading[] =>
  [...readings].sort((a, b) => b.at.localeCompare(a.at)).slice(0, MOST);

/** What the readings of a build say of the facts it is reckoned from; undefined where none says anything. */
export function learnedFrom(context: FigureContext, kit: string, readings: Build['readings']): Learned | undefined {
  if (readings.length === 0) return undefined;
  return learn(newest(readings).flatMap((reading) => judge(context, kit, reading).compared ?? []));
}

/** Every reading as it stands, the newest first, and what together they say. */
export type ReadingsTold = { readonly readings: readonly ReadingTold[]; readonly explains: readonly Explained[] };
/** A fact that the readings say is off: by how many halves of its range, more or less than was taken for likely. */
export type Explained = {
  /** A number of the model, what is typical of a kind, a line of a sheet, or what it was read with. */
  readonly source: 'given' | 'typical' | 'sheet' | 'instrument';
  /** The kind or the part, for the two in the middle. */ readonly about: string;
  readonly label: string;
  readonly unit: string;
  readonly by: number;
};

/** Those about some quantities, and what these alone explain. */
export function readingsTold(
  context: FigureContext,
  kit: string,
  all: Build['readings'],
  about: readonly Reading['what'][],
): ReadingsTold {
  const readings = all.filter(({ what }) => about.includes(what));
  const told = newest(readings).map((reading): ReadingTold => {
    const { own, quantity, use } = judge(context, kit, reading);
    return { reading, own, reckoned: quantity && rangedOf(quantity), use };
  });
  return { readings: told, explains: explained(context, learnedFrom(context, kit, readings)) };
}

/** Less than that of half its range a fact is not named for. */
const WORTH_NAMING = 0.35;
const MOST_NAMED = 3;

function explained({ units }: FigureContext, learned: Learned | undefined): readonly Explained[] {
  const byId = new Map(units.map(({ part }) => [part.id as string, part]));
  return [...(learned?.moved ?? [])]
    .filter(([, by]) => Math.abs(by) >= WORTH_NAMING)
    .sort((a, b) => Math.abs(b[1]) - Math.abs(a[1]))
    .slice(0, MOST_NAMED)
    .map(([id, by]): Explained => {
      const [head = '', ...rest] = id.split('.');
      if (head === 'given') return { source: 'given', about: '', label: rest.join('.'), unit: '', by };
      if (head === 'instrument' || head === 'reading')
        return { source: 'instrument', about: '', label: '', unit: '', by };
      const isTypical = head === 'typical';
      const [kind = '', ...path] = isTypical ? rest : [head, ...rest];
      const field = path.join('.') as FactField;
      return {
        source: isTypical ? 'typical' : 'sheet',
        about: isTypical ? kind : (byId.get(head)?.name ?? ''),
        // What a supply turns to heat is a factor of its own.
        label: FIELD_WORDS[field]?.label ?? field,
        unit: FIELD_WORDS[field]?.unit ?? '',
        by,
      };
    });
}

/** What is reckoned now for a reading about to be kept, from the sheets alone; null where nothing is. */
export const reckonedNow = (context: FigureContext, reading: Reading): number | null =>
  reckonedFor(context, reading, new Ledger(false))?.value ?? null;
