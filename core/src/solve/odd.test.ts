import { assess } from '../assess';
import { letIn, oddMachine, taken } from '../testing/odd';
import { checkLayout } from './checkLayout';
import { problemOf } from './problem';

/** Slow machines make this a matter of seconds: the time itself is measured by `npm run verify -- odd`. */
test('200 machines as no builder would draw them: none throws, each is answered, and what is laid stands', () => {
  let seen = 0;
  for (let seed = 1; seed <= 200; seed++) {
    const build = oddMachine(seed, taken);
    if (!letIn(build)) continue;
    seen++;
    const { status } = assess(build, { asOf: '2026-11-01' });
    expect(['empty', 'partsMissing', 'blocked', 'clear']).toContain(status);
    expect([seed, checkLayout(problemOf(build), build.layout)]).toEqual([seed, []]);
  }
  expect(seen).toBeGreaterThan(150);
}, 600_000);
