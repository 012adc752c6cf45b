import { createAssessor, wiringFor, type Build } from '@inch-tower/core';
import { readFileSync } from 'node:fs';
import { markRanges } from './markRanges';
import { columnsFor, pictureOf, ROW_PX, WIDEST_LINK_PX } from './ribbonLayout';

const demo = (name: string) => JSON.parse(readFileSync(`demo/builds/${name}.json`, 'utf8')) as Build;
const pictured = (name: string, width = 900) => {
  const build = demo(name);
  return pictureOf(wiringFor(build, createAssessor().assess(build, { asOf: '2026-11-01' })), columnsFor(width));
};

test('marks that follow on are one range', () => {
  expect(markRanges(['A1', 'A2', 'A3', 'A5', 'B1'])).toBe('A1–A3, A5, B1');
  expect(markRanges(['B2', 'A10', 'A9', 'AA1'])).toBe('A9, A10, B2, AA1');
});

test.each(['boathouse-rack', 'hall-cupboard', 'old-desktop', 'school-shelf', 'field-kit', 'reading-room'])('%s: rows keep apart, blocks hold their rows, nothing outside of the picture', (name) => {
  const { blocks, heightPx, links, sources } = pictured(name);
  const rows = blocks.flatMap((block) => block.rows);
  for (let i = 1; i < rows.length; i++) expect(rows[i]!.y - rows[i - 1]!.y).toBeGreaterThanOrEqual(ROW_PX);
  for (const block of blocks) for (const row of block.rows) { expect(row.y - row.widthPx / 2).toBeGreaterThanOrEqual(block.y); expect(row.y + row.widthPx / 2).toBeLessThanOrEqual(block.y + block.heightPx); expect(row.askPx).toBeLessThanOrEqual(row.widthPx); }
  for (let i = 1; i < blocks.length; i++) expect(blocks[i]!.y).toBeGreaterThan(blocks[i - 1]!.y + blocks[i - 1]!.heightPx);
  for (const source of sources) expect(source.y + source.heightPx).toBeLessThanOrEqual(heightPx);
  for (const link of links) expect(link.widthPx).toBeLessThanOrEqual(WIDEST_LINK_PX);
});

test('ribbons are as wide as what they carry', () => {
  const rows = pictured('boathouse-rack').blocks.flatMap((block) => block.rows);
  const [one, other] = [rows[0]!, rows.at(-1)!];
  expect(one.widthPx / other.widthPx).toBeCloseTo(one.row.carriesMBps / other.row.carriesMBps, 6);
});
