import { createAssessor, wiringFor, type Build } from '@inch-tower/core';
import { readFileSync } from 'node:fs';
import { markRanges } from './markRanges';
import { columnsFor, pictureOf, ROW_PX, WIDEST_LINK_PX } from './ribbonLayout';

const demo = (name: string) => JSON.parse(readFileSync(`demo/builds/${name}.json`, 'utf8')) as Build;
const pictured = (name: string, width = 900, open: string | null = null) => {
  const build = demo(name);
  return pictureOf(wiringFor(build, createAssessor().assess(build, { asOf: '2026-11-01' })), columnsFor(width), open);
};

test('marks that follow on are one range', () => {
  expect(markRanges(['A1', 'A2', 'A3', 'A5', 'B1'])).toBe('A1–A3, A5, B1');
  expect(markRanges(['B2', 'A10', 'A9', 'AA1'])).toBe('A9, A10, B2, AA1');
});

test.each(['boathouse-rack', 'hall-cupboard', 'old-desktop', 'school-shelf', 'field-kit', 'reading-room'])(
  '%s: rows keep apart, blocks hold their rows, nothing outside of the picture',
  (name) => {
    const { blocks, heightPx, links, sources } = pictured(name);
    const rows = blocks.flatMap((block) => block.rows);
    for (let i = 1; i < rows.length; i++) expect(rows[i]!.y - rows[i - 1]!.y).toBeGreaterThanOrEqual(ROW_PX);
    for (const block of blocks)
      for (const row of block.rows) {
        expect(row.y - row.widthPx / 2).toBeGreaterThanOrEqual(block.y);
        expect(row.y + row.widthPx / 2).toBeLessThanOrEqual(block.y + block.heightPx);
        expect(row.askPx).toBeLessThanOrEqual(row.widthPx);
      }
    for (let i = 1; i < blocks.length; i++)
      expect(blocks[i]!.y).toBeGreaterThan(blocks[i - 1]!.y + blocks[i - 1]!.heightPx);
    for (const source of sources) expect(source.y + source.heightPx).toBeLessThanOrEqual(heightPx);
    for (const link of links) expect(link.widthPx).toBeLessThanOrEqual(WIDEST_LINK_PX);
  },
);

test('ribbons are as wide as what they carry', () => {
  const rows = pictured('boathouse-rack').blocks.flatMap((block) => block.rows);
  const [one, other] = [rows[0]!, rows.at(-1)!];
  expect(one.widthPx / other.widthPx).toBeCloseTo(one.row.carriesMBps / other.row.carriesMBps, 6);
});

test('the open row has a line for each of its drives, all inside of it, and pushes the others down', () => {
  const shut = pictured('boathouse-rack').blocks.flatMap((block) => block.rows);
  const wanted = shut.find(({ row }) => row.drives.length === 4)!;
  const open = pictured('boathouse-rack', 900, wanted.key).blocks.flatMap((block) => block.rows);
  const row = open.find(({ key }) => key === wanted.key)!;
  expect(row.tails).toHaveLength(4);
  for (const tail of row.tails) expect(Math.abs(tail - row.y)).toBeLessThan(row.heightPx / 2);
  for (let i = 1; i < open.length; i++)
    expect(open[i]!.y - open[i]!.heightPx / 2).toBeGreaterThanOrEqual(open[i - 1]!.y + open[i - 1]!.heightPx / 2);
  expect(open.filter(({ tails }) => tails.length > 0)).toHaveLength(1);
});

test.each([700, 980, 1600])('columns of a picture %i px wide leave room for their words', (width) => {
  const at = columnsFor(width);
  expect(at.from - at.bays).toBeGreaterThan(120);
  expect(
    [at.cable - at.from, at.port - at.cable, at.host - at.port, at.link - at.host, at.source - at.link].map(
      (px, i) => px >= [26, 88, 78, 116, 100][i]!,
    ),
  ).toEqual(Array(5).fill(true));
  expect(at.source).toBeLessThan(width);
});
