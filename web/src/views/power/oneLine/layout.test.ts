import { readFileSync } from 'node:fs';
import {
  createAssessor,
  parseBuildText,
  powerBoxes,
  powerOf,
  type BoxPower,
  type MainsLine,
  type PowerBox,
  type UpsTime,
} from '@inch-tower/core';
import { columnsOf } from './columns';
import { oneLine } from './layout';

const seen = (id: string) => {
  const parsed = parseBuildText(readFileSync(`demo/builds/${id}.json`, 'utf8'));
  if (!parsed.ok) throw new Error(parsed.words);
  const { build } = parsed;
  const assessor = createAssessor();
  const { units } = assessor.assess(build, { asOf: '2026-11-28' });
  const power = powerOf(assessor.context(build), build, '2026-11-28');
  return { ...power, cables: powerBoxes(assessor.plugs(build), units), mainsV: 230 };
};
const ups = (unit: string, name = 'Sump'): UpsTime => ({
  unit: unit as never,
  mark: unit,
  name,
  states: [],
  ratedW: 900,
  ratedVa: 1500,
  waveform: 'sine',
  ageYears: null,
  otherW: 0,
  hanging: [],
});
const onUps = (line: MainsLine, unit: string | null): MainsLine => ({ ...line, on: unit as never });

test('cables alike are one stroke with their number, thick by the fullest, with all that stands on them', () => {
  const rack = seen('boathouse-rack');
  const [feed] = oneLine(rack).feeds;
  expect(feed!.strokes.map(({ labels, count }) => [labels, count])).toEqual([
    ['P1', 1],
    ['P2', 1],
    ['P3–P5', 3],
  ]);
  const [, , many] = feed!.strokes;
  expect(many).toMatchObject({ to: 'A1', isOver: true, carries: 'up to 9.6 of 8 A on 12 V' });
  expect(feed!.rails.map(({ words }) => words.slice(0, 5))).toEqual(['12 V ', '5 V 1', '3.3 V']);
});

test('every cable in use of every demo machine is on one stroke, and none lies on another', () => {
  for (const id of ['boathouse-rack', 'field-kit', 'hall-cupboard', 'school-shelf', 'old-desktop', 'weighbridge']) {
    const machine = seen(id);
    const drawn = oneLine(machine);
    const used = machine.cables.flatMap(({ cables }) => cables).filter(({ label }) => label !== null);
    const counted = drawn.feeds.flatMap(({ strokes }) => strokes.filter(({ labels }) => labels !== ''));
    expect([id, counted.reduce((sum, { count }) => sum + count, 0)]).toEqual([id, used.length]);
    const ys = drawn.feeds.flatMap(({ strokes }) => strokes.map(({ y }) => y));
    for (const [i, y] of ys.entries()) if (i > 0) expect(y - ys[i - 1]!).toBeGreaterThan(15);
    expect(Math.max(...ys)).toBeLessThan(drawn.height);
    for (const { amps12 } of drawn.feeds) expect(amps12 * drawn.pxPerA).toBeLessThan(14);
  }
});

test('a UPS stands by what hangs on it, off other UPS and off lines that pass it to the wall', () => {
  const rack = seen('boathouse-rack');
  expect(rack.mains).toHaveLength(2);
  const [a, b] = rack.mains as [MainsLine, MainsLine];
  const both = oneLine({ ...rack, mains: [onUps(a, 'K1'), onUps(b, 'K2')], ups: [ups('K1'), ups('K2')] });
  expect(both.wallYs).toEqual([]);
  expect(both.ups[1]!.y - both.ups[0]!.y).toBeGreaterThanOrEqual(40);
  expect(both.ups.map(({ name }) => name)).toEqual(['K1 Sump', 'K2 Sump']);
  const apart = oneLine({
    ...rack,
    mains: [onUps(a, 'K1'), onUps(b, null)],
    ups: [ups('K1', 'A very long name of one')],
  });
  expect(apart.wallYs).toHaveLength(1);
  expect(Math.abs(apart.ups[0]!.y - apart.wallYs[0]!)).toBeGreaterThan(20);
  expect(apart.ups[0]!.name).toBe('A very long name …');
  const { riserX, supplyX } = columnsOf(740, [apart.ups[0]!.name]);
  expect(riserX).toBeGreaterThan(18 * 6.7);
  expect(supplyX).toBeGreaterThan(riserX);
});

test('a box whose supply came with it and has no cables in use is drawn as one line to its bays', () => {
  const box = { ...seen('boathouse-rack').boxes[0]!, name: 'Loft 16' } as BoxPower;
  const drawn = oneLine({ boxes: [box], cables: [] as PowerBox[], mains: [], ups: [], mainsV: 230 });
  expect(drawn.feeds[0]!.strokes).toMatchObject([{ to: 'Loft 16', name: 'built in', labels: '' }]);
});
