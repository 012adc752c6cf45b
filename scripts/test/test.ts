/** Every check and test, one after another; ends with what took how long and one line that counts them. */
import { availableParallelism } from 'node:os';
import { attack, fuzzRequests } from './attacking';
import { killDuringSaves } from './killing';
import { run, runJest, slowestFiles, type Count } from './runJest';
import { runBrowser } from './runBrowser';
import { startFaults } from './startFaults';
import { withDatabase } from './withServer';

const ONE_PASSED: Count = { passed: 1, failed: 0 };
const ONE_FAILED: Count = { passed: 0, failed: 1 };

const steps: { readonly name: string; readonly count: Count; readonly seconds: number }[] = [];
async function step(name: string, work: () => Promise<Count>): Promise<void> {
  const began = Date.now();
  const count = await work();
  steps.push({ name, count, seconds: (Date.now() - began) / 1000 });
  if (count.failed) console.log(`${name}: FAILED`);
}
const check =
  (command: string, ...args: readonly string[]) =>
  async (): Promise<Count> =>
    (await run('node', [command, ...args])) === 0 ? ONE_PASSED : ONE_FAILED;

/** Checks that read the same files and nothing else, as many at a time as there are processors. */
const checks: (readonly [name: string, ...command: string[]])[] = [
  ['types', 'node_modules/typescript/bin/tsc', '-b', 'web', 'scripts', 'e2e'],
  ['lint', 'node_modules/eslint/bin/eslint.js', '.'],
  ['format', 'node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
  ['unused exports', 'node_modules/knip/bin/knip.js', '--no-progress'],
];
const line = async (): Promise<void> => {
  for (let next = checks.shift(); next; next = checks.shift()) {
    const [name, command, ...args] = next;
    await step(name, check(command!, ...args));
  }
};
await Promise.all(Array.from({ length: Math.min(2, availableParallelism()) }, line));
await step('core, demo and web', () => runJest(['core', 'demo', 'web']));
await step('server', () => withDatabase((database) => runJest(['server'], { DATABASE_URL: database.url })));
await step('starts', startFaults);
await step('kills during saves', async () => {
  const { kills, edits, acknowledged, lost } = await killDuringSaves(20, Date.now() % 2 ** 31);
  console.log(`${kills} kills, ${acknowledged} saves acknowledged, ${edits} edits of a page, ${lost.length} lost`);
  for (const line of lost) console.log(`  ${line}`);
  return lost.length ? ONE_FAILED : ONE_PASSED;
});
await step('attacks', async () => {
  const { held, broken } = await attack((line) => console.log(line));
  for (const line of broken) console.log(`  ${line}`);
  return { passed: held, failed: broken.length };
});
await step('odd requests', async () => {
  const { sent, faults } = await fuzzRequests(500, Date.now() % 2 ** 31, () => undefined);
  console.log(`${sent} odd requests, ${faults.length} faults`);
  for (const line of faults) console.log(`  ${line}`);
  return faults.length ? ONE_FAILED : ONE_PASSED;
});
await step('browser', () => runBrowser());

for (const { name, count, seconds } of steps)
  console.log(`${seconds.toFixed(0).padStart(5)} s  ${name}${count.failed ? `, ${count.failed} failed` : ''}`);
console.log(`slowest: ${slowestFiles(['core', 'demo', 'web'], 6).join(', ')}`);
const sum = (key: keyof Count) => steps.reduce((total, { count }) => total + count[key], 0);
console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
process.exit(sum('failed') ? 1 : 0);
