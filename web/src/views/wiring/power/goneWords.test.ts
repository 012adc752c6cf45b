import { readFileSync } from 'node:fs';
import { createAssessor, parseBuildText, powerBoxes, type PowerBox } from '@inch-tower/core';
import { goneWords } from './goneWords';

const boxOf = (id: string): PowerBox => {
  const parsed = parseBuildText(readFileSync(`demo/builds/${id}.json`, 'utf8'));
  if (!parsed.ok) throw new Error(parsed.words);
  const assessor = createAssessor();
  const { units } = assessor.assess(parsed.build, { asOf: '2026-11-28' });
  return powerBoxes(assessor.plugs(parsed.build), units)[0]!;
};
const without = (id: string, label: string): string => {
  const box = boxOf(id);
  return goneWords(
    box,
    box.cables.find((cable) => cable.label === label)!,
  );
};

test('what stops with a cable: the machine, drives with plugs of their own, a holder with all it holds', () => {
  expect(without('old-desktop', 'P1')).toBe('Without this cable the machine stops.');
  expect(without('old-desktop', 'P2')).toBe('Without this cable the machine stops.');
  expect(without('weighbridge', 'P3')).toBe('Without this cable H1–H4 stop.');
  expect(without('old-desktop', 'P3')).toBe(
    'Without this cable K1–K3 stop. Also I1 Cradle drawer, 3.5 hot swap stops, and a drive with it.',
  );
});

test('a backplane fed by several cables keeps some of its inputs', () => {
  expect(without('boathouse-rack', 'P3')).toBe(
    'Without this cable A1 Gable 24, front bays keeps 4 of 6 inputs; whether all its bays then run is not said.',
  );
});
