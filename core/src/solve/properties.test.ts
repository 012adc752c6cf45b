import type { Layout } from '../build/layout';
import { machine } from '../testing/mip/machines';
import { checkLayout } from './checkLayout';
import { scoreOf, solve } from './solve';
import { LEVELS, levelsOf } from './solver/score';
import { isKind, type PlannedUnit } from '../machine/units';

const EMPTY: Layout = { at: {}, wires: [], plugs: [], dormant: {} };
const SEEDS = Array.from({ length: 60 }, (_, i) => 2_000 + i);
/** Levels that say how good a layout is, wherever things were before. */
const STANDING = LEVELS.flatMap((level, i) =>
  level === 'putsBroken' || level === 'moves' || level === 'partlyUsed' ? [] : [i],
);

test.each(SEEDS)(
  'drawn machine %i: solved again from its own layout nothing moves, and it is as good as from nothing',
  (seed) => {
    const { problem } = machine(seed);
    const cold = levelsOf(scoreOf(problem, EMPTY));
    const { layout } = solve(problem, EMPTY);
    const warm = levelsOf(scoreOf(problem, layout));
    expect(STANDING.map((i) => warm[i])).toEqual(STANDING.map((i) => cold[i]));
    expect(warm[LEVELS.indexOf('moves')]).toBe(0);
    const again = solve(problem, layout).layout;
    expect(again.at).toEqual(layout.at);
    expect(again.wires).toEqual(layout.wires);
  },
);

test.each(SEEDS)('drawn machine %i: a port more that shares nothing leaves every layout as valid as it was', (seed) => {
  const { problem, hint } = machine(seed);
  const { layout } = solve(problem, hint);
  const units = problem.units.map((unit): PlannedUnit =>
    isKind(unit, 'board')
      ? {
          ...unit,
          part: {
            ...unit.part,
            connectors: [
              ...unit.part.connectors,
              {
                key: 'more',
                count: 1,
                kind: 'sata',
                lanes: 1,
                carries: ['sata'],
                gbPerLane: 6,
                role: 'host',
                side: 'inside',
                label: 'One more',
              },
            ],
          },
        }
      : unit,
  );
  expect(checkLayout({ ...problem, units }, layout)).toEqual([]);
  const [before, after] = [levelsOf(scoreOf(problem, hint)), levelsOf(scoreOf({ ...problem, units }, hint))];
  const at = before.findIndex((count, i) => count !== after[i]);
  expect(at < 0 || after[at]! < before[at]!).toBe(true);
});
