import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { resolve, type Archetype, type Part, type Sheet } from '@inch-tower/core';
import { differencesOf } from './differences';

const read = (name: string) =>
  JSON.parse(readFileSync(join(process.cwd(), 'demo', 'catalogue', `${name}.json`), 'utf8')) as never;
const archetypes = read('archetypes') as Archetype[];
const part = (file: string, id: string): Part => {
  const sheet = (read(file) as Sheet[]).find((one) => one.id === id)!;
  return resolve(
    sheet,
    archetypes.find((one) => one.id === sheet.archetype)!,
  );
};

test('only the facts that differ, in words with their units', () => {
  const differences = differencesOf(part('drive', 'barge-8'), part('drive', 'barge-12'));
  expect(differences.find(({ label }) => label === 'capacity')?.values).toEqual(['8 TB', '12 TB']);
  expect(differences.some(({ label }) => label === 'interface')).toBe(false);
  for (const { values } of differences) expect(values[0]).not.toBe(values[1]);
});

test('a part beside itself differs in nothing; lists are told line by line', () => {
  expect(differencesOf(part('drive', 'barge-8'), part('drive', 'barge-8'))).toEqual([]);
  const labels = differencesOf(part('chassis', 'larder-8'), part('chassis', 'gable-24')).map(({ label }) => label);
  expect(new Set(labels).size).toBe(labels.length);
  expect(labels).toContain('depth');
});
