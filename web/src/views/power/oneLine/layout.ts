import {
  cablePeak,
  type BoxPower,
  type MainsLine,
  type PowerBox,
  type PowerCable,
  type UpsTime,
} from '@inch-tower/core';
import { apart, startLines } from '../startLines';
import { upsName } from '../upsWords';

/** Cables alike of one supply as one stroke: how many, what the fullest carries, and what stands on them. */
export type CableStroke = {
  readonly key: string;
  readonly y: number;
  /** "P3" or "P3–P6". */ readonly labels: string;
  readonly count: number;
  readonly name: string;
  readonly amps: number;
  /** "9.6 of 8 A on 12 V"; empty where it is not computed. */ readonly carries: string;
  readonly isOver: boolean;
  readonly to: string;
};
type PlugStroke = { readonly line: MainsLine; readonly y: number; readonly amps: number };
type RailWords = { readonly words: string; readonly isOver: boolean };
/** What runs from one supply: its mains plugs, the bar of its rails, and the cables that leave it. */
export type FeedDrawn = {
  readonly key: string;
  readonly title: string;
  readonly titleY: number;
  readonly plugs: readonly PlugStroke[];
  readonly kind: 'none' | 'supply' | 'brick' | 'converter';
  readonly barFrom: number;
  readonly barTo: number;
  readonly amps12: number;
  readonly rails: readonly RailWords[];
  readonly strokes: readonly CableStroke[];
};
type UpsDrawn = {
  readonly unit: string;
  readonly name: string;
  /** "38 %" of its W at the most. */ readonly full: string;
  readonly isOver: boolean;
  readonly y: number;
  readonly plugYs: readonly number[];
};
export type OneLineDrawn = {
  readonly feeds: readonly FeedDrawn[];
  readonly ups: readonly UpsDrawn[];
  /** Heights of plugs that are straight in the wall. */ readonly wallYs: readonly number[];
  readonly height: number;
  readonly pxPerA: number;
};

const ROW_PX = 19;
const TITLE_PX = 19;
const GAP_PX = 16;
/** Two modules stand so far apart, that the name of neither lies on the other. */
const PLUG_PX = 34;
const UPS_PX = 52;
/** Above it the mains are named. */
const HIGHEST_PX = 42;
/** Letters of a name that find room before what follows. */
const MOST_NAME = 18;
/** The thickest line, and what an A is worth where that is not reached. */
const [MOST_PX, MOST_PX_PER_A] = [13, 1.1];

type Asked = {
  readonly boxes: readonly BoxPower[];
  readonly cables: readonly PowerBox[];
  readonly mains: readonly MainsLine[];
  readonly ups: readonly UpsTime[];
  readonly mainsV: number;
};

/** Where everything stands from the mains to the plugs, top to bottom in the order of the machine's supplies. */
export function oneLine({ boxes, cables, mains, ups, mainsV }: Asked): OneLineDrawn {
  let top = 6;
  const feeds = boxes.map((box): FeedDrawn => {
    const own = strokesOf(cablesOf(box, boxes, cables));
    const strokes = own.length > 0 ? own : [builtIn(box)];
    const plugs = mains.filter(({ feed }) => feed === box.key);
    const barFrom = top + TITLE_PX + 4;
    const tall = Math.max(strokes.length * ROW_PX, plugs.length * PLUG_PX, 2 * ROW_PX);
    const middle = (count: number, each: number, i: number) => barFrom + tall / 2 + (i - (count - 1) / 2) * each;
    const drawn: FeedDrawn = {
      key: box.key,
      title: titleOf(box),
      titleY: top + 12,
      plugs: plugs.map((line, i) => ({ line, y: middle(plugs.length, PLUG_PX, i), amps: line.peakW / mainsV })),
      kind: !box.supply ? 'none' : box.supply.brick ? 'converter' : box.supply.isBrick ? 'brick' : 'supply',
      barFrom,
      barTo: barFrom + tall,
      amps12: Math.max(0, ...box.start.steps.map(({ a }) => a['12 V'])),
      rails: railsOf(box),
      strokes: strokes.map((stroke, i) => ({ ...stroke, y: middle(strokes.length, ROW_PX, i) })),
    };
    top = drawn.barTo + GAP_PX;
    return drawn;
  });
  const all = feeds.flatMap(({ plugs }) => plugs);
  const wallYs = all.filter(({ line }) => line.on === null).map(({ y }) => y);
  const height = Math.max(top, ups.length * UPS_PX + HIGHEST_PX);
  const most = Math.max(1, ...feeds.flatMap(({ amps12, strokes }) => [amps12, ...strokes.map(({ amps }) => amps)]));
  return {
    feeds,
    ups: upsOf(ups, all, wallYs, height),
    wallYs,
    height,
    pxPerA: Math.min(MOST_PX_PER_A, MOST_PX / most),
  };
}

const titleOf = ({ name, supply }: BoxPower): string =>
  supply
    ? `${supply.mark} ${supply.name}${supply.brick ? ` behind ${supply.brick}` : ''}`
    : `${name}: no supply chosen`;

/** UPS at the height of what hangs on them, off each other and off lines that pass to the wall. */
function upsOf(
  all: Asked['ups'],
  plugs: readonly PlugStroke[],
  wallYs: readonly number[],
  height: number,
): readonly UpsDrawn[] {
  const own = all.map(({ unit }) => plugs.filter(({ line }) => line.on === unit).map(({ y }) => y));
  const wanted = own.map((ys) => (ys.length > 0 ? ys.reduce((sum, y) => sum + y, 0) / ys.length : height - UPS_PX / 2));
  const clear = wanted.map((y) => offLines(y, wallYs));
  const placed = apart(clear, UPS_PX, height - UPS_PX / 2);
  return all.map((one, i) => {
    const { unit, states, ratedW, ratedVa } = one;
    const name = upsName(one, all);
    const share = Math.max(0, ...states.map(({ watts, va }) => Math.max(watts.value / ratedW, va.value / ratedVa)));
    return {
      unit,
      name: name.length > MOST_NAME ? `${name.slice(0, MOST_NAME - 1)}…` : name,
      full: `${Math.round(100 * share)} %`,
      isOver: share > 1,
      y: placed[i]!,
      plugYs: own[i]!,
    };
  });
}

/** The nearest height at which a UPS covers no line that passes it. */
function offLines(y: number, lines: readonly number[]): number {
  const isOff = (at: number) => lines.every((line) => Math.abs(line - at) >= UPS_PX / 2);
  for (let step = 0; step <= 200; step += 2)
    for (const at of [y - step, y + step]) if (at >= HIGHEST_PX && isOff(at)) return at;
  return y;
}

/** Cables that leave a supply; outputs of a board go with the first supply of its box. */
function cablesOf(box: BoxPower, boxes: readonly BoxPower[], all: readonly PowerBox[]): readonly PowerCable[] {
  const units: readonly string[] = box.supply?.units ?? [];
  const others = new Set<string>(boxes.flatMap(({ supply }) => supply?.units ?? []));
  const isFirst = boxes.find((one) => one.box === box.box) === box;
  return all
    .filter((one) => one.box === box.box || one.cables.some(({ host }) => units.includes(host.host)))
    .flatMap(({ cables }) => cables)
    .filter(({ label, host }) => label !== null && (units.includes(host.host) || (isFirst && !others.has(host.host))));
}

function strokesOf(cables: readonly PowerCable[]): Omit<CableStroke, 'y'>[] {
  const groups = new Map<string, PowerCable[]>();
  for (const cable of cables) {
    const key = `${cable.host.host}/${cable.host.key}/${cable.isCounted}`;
    groups.set(key, [...(groups.get(key) ?? []), cable]);
  }
  return [...groups].map(([key, own]) => {
    const peaks = own.map(cablePeak);
    const fullest = peaks.reduce((most, one) => (one.share > most.share ? one : most));
    const first = own[0]!;
    const marks = [...new Set(own.flatMap(({ plugs }) => plugs.flatMap(({ uses }) => uses.map(({ mark }) => mark))))];
    return {
      key,
      labels: own.length > 1 ? `${first.label}–${own.at(-1)!.label}` : first.label!,
      count: own.length,
      name: first.name.replace(/ \d+ of \d+$/, ''),
      amps: fullest.amps,
      carries: first.isCounted
        ? `${own.length > 1 ? 'up to ' : ''}${fullest.amps.toFixed(1)} of ${first.carriesA} A on ${fullest.rail}`
        : '',
      isOver: fullest.share > 1 + 1e-6,
      to: listed(marks),
    };
  });
}

/** A box whose supply came with it feeds its bays without cables that anybody plugs. */
const builtIn = ({ name, start }: BoxPower): Omit<CableStroke, 'y'> => ({
  key: 'in',
  labels: '',
  count: 1,
  name: 'built in',
  amps: Math.max(0, ...start.steps.map(({ a }) => a['12 V'])),
  carries: '',
  isOver: false,
  to: name,
});

const MOST_MARKS = 4;
const listed = (marks: readonly string[]): string =>
  marks.length <= MOST_MARKS
    ? marks.join(', ')
    : `${marks.slice(0, MOST_MARKS - 1).join(', ')} and ${marks.length - MOST_MARKS + 1} more`;

const rounded = (value: number): string => (value < 10 ? value.toFixed(1) : String(Math.round(value)));

/** What each rail gives at the worst moment of a start, of what it can. */
const railsOf = ({ start }: BoxPower): RailWords[] =>
  ['12', '5', '33'].flatMap((key) =>
    startLines(start)
      .filter((line) => line.key === key)
      .map(({ name, peak, limit, unit }) => ({
        words: `${name} ${rounded(peak.value)} of ${rounded(limit)} ${unit}`,
        isOver: peak.share > 1,
      })),
  );
