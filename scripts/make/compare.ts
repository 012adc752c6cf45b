/**
 * What every demo machine and situation comes to, for comparing two states of the code: `npm run compare -- write
 * before.json` in one, `npm run compare -- against before.json` in the other, which lists every figure, snag and place
 * that differs.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createAssessor, wordsOf, type Build } from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from '../../demo/loadDemo';
import { situations } from '../../demo/situations';

const AS_OF = { asOf: '2026-11-01' };
type Facts = Readonly<Record<string, string>>;

/** Lines by name, so that two states are compared line by line. */
function factsOf(build: Build): Facts {
  const { figures, snags, layout } = createAssessor().assess(build, AS_OF);
  return Object.fromEntries([
    ...Object.entries(figures).map(
      ([id, figure]) =>
        [
          `figure ${id}`,
          figure
            ? `${figure.value.toPrecision(6)} (${figure.lo.toPrecision(6)}–${figure.hi.toPrecision(6)}) ${figure.unit}`
            : 'none',
        ] as const,
    ),
    ...snags.map((snag) => [`snag ${snag.key}`, `${snag.severity}: ${wordsOf(snag).what}`] as const),
    ...Object.entries(layout.at).map(([unit, seat]) => [`seat ${unit}`, JSON.stringify(seat)] as const),
    ['wires', JSON.stringify(layout.wires)] as const,
  ]);
}

const [act, file] = process.argv.slice(2);
if (!file || (act !== 'write' && act !== 'against')) throw new Error('say: write FILE, or against FILE');
const now = Object.fromEntries(
  [...loadDemoBuilds(), ...Object.values(situations(loadDemoCatalogue()))].map((build) => [build.id, factsOf(build)]),
);
if (act === 'write') writeFileSync(file, JSON.stringify(now, null, 1));
else {
  const before = JSON.parse(readFileSync(file, 'utf8')) as Readonly<Record<string, Facts>>;
  let differing = 0;
  for (const id of new Set([...Object.keys(before), ...Object.keys(now)])) {
    for (const name of new Set([...Object.keys(before[id] ?? {}), ...Object.keys(now[id] ?? {})])) {
      const [was, is] = [before[id]?.[name] ?? 'not there', now[id]?.[name] ?? 'not there'];
      if (was === is) continue;
      differing++;
      console.log(`${id}, ${name}\n  was ${was}\n  is  ${is}`);
    }
  }
  console.log(`${Object.keys(now).length} machines, ${differing} differences`);
}
