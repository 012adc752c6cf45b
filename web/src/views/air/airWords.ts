import { marginOf, type Air, type AtSameTemperature, type Heard, type OverAir, type WarmRow } from '@inch-tower/core';
import { changeWords } from '../../words/format';
import type { QuietRow } from '../../worker/messages';

type Tone = 'good' | 'warn' | 'bad' | 'text-mid';
type Answer = { readonly words: string; readonly tone: Tone };

export const isDrive = ({ where }: WarmRow): boolean => where === 'stream' || where === 'cage' || where === 'inside';
export const rowName = ({ name, units }: WarmRow): string => (units.length > 1 ? `${units.length} × ${name}` : name);
export const degrees = (celsius: number): string => `${Math.round(celsius)} °C`;

/** Where air reaches a part, as a builder would point at it. */
export const WHERE: Readonly<Record<WarmRow['where'], string>> = {
  stream: 'in the stream',
  cage: 'in a cage with its fan',
  inside: 'behind the drives',
  board: 'on the board',
  processor: 'under its cooler',
  card: 'its chip',
};

/** Do the drives live through the hottest day: by the one with the least margin. */
export function drivesAnswer(boxes: Air['boxes']): Answer {
  const rows = boxes.flatMap(({ rows: all }) => all.filter(isDrive));
  const worst = rows.reduce<WarmRow | null>(
    (least, row) => (!least || marginOf(row) < marginOf(least) ? row : least),
    null,
  );
  if (!worst)
    return boxes.length === 0
      ? { words: 'Not computed: an open frame, or nothing to be in.', tone: 'text-mid' }
      : { words: 'No drive is in a bay yet.', tone: 'text-mid' };
  const { value, lo, hi } = worst.on.hot.tempC;
  const reach =
    `${rowName(worst)}: about ${degrees(value)}, ${Math.round(lo)} to ${Math.round(hi)}, ` +
    `of ${degrees(worst.limitC)} allowed`;
  if (hi <= worst.limitC) return { words: `Yes. The nearest to its limit is ${reach}.`, tone: 'good' };
  if (value <= worst.limitC) return { words: `Probably. ${reach}.`, tone: 'warn' };
  if (worst.slowsDown) return { words: `They slow themselves down. ${reach}.`, tone: 'warn' };
  return lo <= worst.limitC
    ? { words: `Probably not. ${reach}.`, tone: 'warn' }
    : { words: `No. ${reach}.`, tone: 'bad' };
}

/** Other parts that are likely past their limit on the hottest day, in a sentence; empty where none is. */
export function othersAnswer(boxes: Air['boxes']): string {
  const past = boxes.flatMap(({ rows }) => rows.filter((row) => !isDrive(row) && marginOf(row) < 0));
  const slow = past.filter(({ slowsDown }) => slowsDown).map(rowName);
  const hot = past.filter(({ slowsDown }) => !slowsDown).map(rowName);
  return [
    ...(slow.length > 0
      ? [`Busy without a pause ${slow.join(', ')} ${slow.length === 1 ? 'slows' : 'slow'} down.`]
      : []),
    ...(hot.length > 0 ? [`Past what ${hot.length === 1 ? 'it bears' : 'they bear'}: ${hot.join(', ')}.`] : []),
  ].join(' ');
}

/** What holding a temperature takes on both days. */
export function heldWords(
  { normal, hot, holds, forCards }: NonNullable<Air['held']>,
  targetC: number,
  cardsC?: number,
): string {
  const pct = (duty: number) => `${Math.round(duty * 100)} %`;
  const target = cardsC === undefined ? degrees(targetC) : `${degrees(targetC)}, cards at ${degrees(cardsC)}`;
  const what = cardsC === undefined ? 'the hottest drive' : 'drives and cards';
  if (!holds.normal) return `No speed holds ${what} at ${target}, not on a normal day either.`;
  if (!holds.hot) return `Held at ${target}: ${pct(normal)} on a normal day; on the hottest no speed holds it.`;
  const why = forCards.hot ? ' The cards want it.' : '';
  return `Held at ${target}: ${pct(normal)} on a normal day, ${pct(hot)} on the hottest.${why}`;
}

/** The slowest the fans may turn for the drives' sake, and how quiet that is. */
export function slowestWords(slowest: Air['slowest']): string {
  if (!slowest) return 'No speed of these fans keeps every drive and card 5 K within its limit on the hottest day.';
  const quiet = slowest.earDb === null ? '' : `, ${slowest.earDb.toFixed(0)} dB(A)`;
  return (
    `From ${Math.round(slowest.duty * 100)} % on${quiet}, ` +
    'every drive and card stays 5 K within its limit on the hottest day.'
  );
}

/** So far under the room a steady sound is hardly noticed. */
const UNDER_ROOM_DB = 6;

/** Can somebody sleep beside it: idle against the room and the wish. */
export function soundAnswer(heard: readonly Heard[], roomDb: number, wishDb: number | undefined): Answer {
  const idle = heard.find(({ state }) => state === 'idle');
  if (!idle) return { words: 'Nothing in it makes a sound.', tone: 'good' };
  const { value, lo, hi } = idle.ear;
  const level = `${value.toFixed(0)} dB(A) at the ear, idle`;
  const limit = Math.max(wishDb ?? 0, roomDb > 0 ? roomDb - UNDER_ROOM_DB : 0);
  if (wishDb !== undefined && value > limit)
    return {
      words: `${level}: ${loudWords(value - limit)} than the ${Math.round(wishDb)} wished.`,
      tone: lo > limit ? 'bad' : 'warn',
    };
  if (wishDb !== undefined && hi > limit)
    return { words: `${level}: perhaps more than the ${Math.round(wishDb)} wished.`, tone: 'warn' };
  if (roomDb <= 0) return { words: `${level}. How quiet the room is, the brief does not say.`, tone: 'text-mid' };
  const over = value - roomDb;
  if (over <= -UNDER_ROOM_DB)
    return {
      words: `${level}: hardly heard above the room’s ${Math.round(roomDb)}, but for hum and seeks.`,
      tone: 'good',
    };
  if (over <= 0)
    return { words: `${level}: heard beside the room’s ${Math.round(roomDb)} when it is quiet.`, tone: 'good' };
  return { words: `${level}: ${loudWords(over)} than the room’s ${Math.round(roomDb)}.`, tone: 'warn' };
}

/** What a difference means to an ear: 10 dB are about twice as loud. */
function loudWords(overDb: number): string {
  if (overDb < 1.5) return 'hardly louder';
  if (overDb < 4) return 'a little louder';
  if (overDb < 8) return 'clearly louder';
  return `about ${(2 ** (overDb / 10)).toFixed(overDb < 20 ? 1 : 0)} times louder`;
}

/** What a quieter way takes: how fast the fans then turn, and what it costs. */
export function quietWords({ duty, delta }: Pick<QuietRow, 'duty' | 'delta'>, currency: string): string {
  const price = changeWords('cost.now', delta['cost.now'] ?? 0);
  const watts = changeWords('power.idleWallW', delta['power.idleWallW'] ?? 0);
  return [
    ...(duty === null ? [] : [`fans at ${Math.round(duty * 100)} %`]),
    price ? `${price} ${currency}` : 'no price',
    ...(watts ? [`${watts} W idle`] : []),
  ].join(' · ');
}

/** What the comparison says: louder or quieter by how much, or by how many K it cannot hold the temperature. */
export function sameWords({ mine, other, missesK }: AtSameTemperature, name: string): string {
  const fans = name === 'Before' ? 'the fans before' : 'its fans';
  if (missesK > 0.1) return `no speed of ${fans} holds that: ${missesK.toFixed(0)} K warmer.`;
  if (mine.earDb === null || other.earDb === null)
    return mine.earDb === other.earDb
      ? 'neither is heard.'
      : `${mine.earDb === null ? 'only the other' : 'only this one'} is heard.`;
  const less = other.earDb - mine.earDb;
  if (Math.abs(less) < 0.5) return 'both are as loud.';
  return `this one is ${Math.abs(less).toFixed(1)} dB ${less > 0 ? 'quieter' : 'louder'}.`;
}

/** From winter to summer in a sentence: how loud holding the drives is in a cool and a warm room, and until where. */
export function overAirWords({ targetC, points }: OverAir): string {
  const held = points.filter(({ duty }) => duty !== null);
  const [first, last] = [held[0], held.at(-1)];
  const target = degrees(targetC);
  if (!first || !last)
    return `At work no speed of the fans holds the hottest drive at ${target}, however cool the room.`;
  const at = (roomC: number) =>
    held.reduce((near, one) => (Math.abs(one.roomC - roomC) < Math.abs(near.roomC - roomC) ? one : near));
  const level = ({ earDb }: OverAir['points'][number]) => (earDb === null ? 'silent' : `${earDb.toFixed(0)} dB(A)`);
  const fans = ({ duty }: OverAir['points'][number]) => `fans at ${Math.round(duty! * 100)} %`;
  const until = last.roomC < points.at(-1)!.roomC ? ` Above ${degrees(last.roomC)} no speed holds it.` : '';
  const cool = at(20);
  const warm = last.roomC < 32 ? last : at(32);
  const start = `To hold the hottest drive at ${target} at work`;
  if (level(cool) === level(warm))
    return `${start}: ${level(warm)} in a room of up to ${degrees(warm.roomC)} (${fans(warm)}).${until}`;
  const both = [cool, warm].map((one) => `${level(one)} with ${degrees(one.roomC)} in the room (${fans(one)})`);
  return `${start}: ${both.join(', ')}.${until}`;
}
