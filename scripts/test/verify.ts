/**
 * The long cross-checks: `npm run verify`, or `npm run verify -- mutate 100000`, `-- kill 100`, `-- odd 10000`, `--
 * attack`, `-- fuzz 100000`, `-- solver 1000`, `-- plugs 1000`, `-- flow 500` and `-- sheets`. A sample of each is in
 * `./test`.
 */
import { SAMPLES } from '../../core/src/testing/specTexts/all';
import { scoreSamples } from '../../core/src/testing/specTexts/score';
import { attack, fuzzRequests } from './attacking';
import { killDuringSaves } from './killing';
import { mutateFiles } from './mutating';
import { commitOddMachines } from './oddMachines';
import { dealPlugsTwice, flowTwice, solveTwice } from './solving';

const [what = 'all', many] = process.argv.slice(2);
const seed = Number(process.env.SEED ?? 20_261_123);
/** Processor time that one commit may take on a quiet machine. */
const LONGEST_COMMIT_MS = 1_000;
let failed = false;
const tell = (lines: readonly string[]) => {
  for (const line of lines.slice(0, 20)) console.log(`  ${line}`);
  failed ||= lines.length > 0;
};

if (what === 'all' || what === 'mutate') {
  const { files, assessed, refused, slowestMs, faults } = mutateFiles(Number(many ?? 10_000), seed, 2_000);
  console.log(
    `${files} mutated files (seed ${seed}): ${assessed} assessed, ${refused} refused with a ` +
      `reason, ${faults.length} faults, slowest ${slowestMs.toFixed(0)} ms`,
  );
  tell(faults);
}
if (what === 'all' || what === 'kill') {
  const { kills, saves, edits, acknowledged, lost } = await killDuringSaves(Number(many ?? 500), seed, (line) =>
    console.log(line),
  );
  console.log(
    `${kills} kills of server or database (seed ${seed}): ${saves} saves tried, ` +
      `${acknowledged} acknowledged, ${edits} edits of a page, ${lost.length} lost`,
  );
  tell(lost);
}
if (what === 'all' || what === 'attack') {
  const { held, broken } = await attack((line) => console.log(line));
  console.log(`${held} attacks held, ${broken.length} did not`);
  tell(broken);
}
if (what === 'all' || what === 'fuzz') {
  const { sent, slowestMs, byStatus, faults } = await fuzzRequests(Number(many ?? 100_000), seed, (line) =>
    console.log(line),
  );
  console.log(
    `${sent} requests over every route (seed ${seed}): slowest ${slowestMs.toFixed(0)} ms, ` +
      `by status ${JSON.stringify(byStatus)}, ${faults.length} faults`,
  );
  tell(faults);
}
if (what === 'all' || what === 'odd') {
  const { machines, commits, slowestMs, slowest, faults } = commitOddMachines(
    Number(process.env.SEED ?? 1),
    Number(many ?? 10_000),
    LONGEST_COMMIT_MS,
    (line) => console.log(line),
  );
  console.log(
    `${machines} machines drawn from the whole catalogue, ${commits} commits: slowest ` +
      `${slowestMs.toFixed(0)} ms of processor time (${slowest}), ${faults.length} faults`,
  );
  tell(faults);
}
if (what === 'all' || what === 'plugs') {
  const count = Number(many ?? 1_000);
  const from = Number(process.env.SEED ?? 1);
  const faults = await dealPlugsTwice(from, count, (line) => console.log(line));
  console.log(`${count} drawn supplies dealt twice (seeds ${from} to ${from + count - 1}): ${faults.length} faults`);
  tell(faults);
}
if (what === 'all' || what === 'flow') {
  const count = Number(many ?? 500);
  const from = Number(process.env.SEED ?? 1);
  const { machines, faults } = await flowTwice(from, count, (line) => console.log(line));
  console.log(`flow of ${machines} drawn machines found twice (seeds from ${from}): ${faults.length} faults`);
  tell(faults);
}
if (what === 'all' || what === 'solver') {
  const count = Number(many ?? 1_000);
  const from = Number(process.env.SEED ?? 1);
  const { faults, infeasible, features } = await solveTwice(from, count, (line) => console.log(line));
  const share = (part: number) => `${Math.round((100 * part) / count)} %`;
  console.log(
    `${count} drawn machines solved twice (seeds ${from} to ${from + count - 1}): ` +
      `${faults.length} faults; ${share(infeasible)} cannot be done, ` +
      `${share(features.expander)} with expanders, ${share(features.parted)} with parted slots ` +
      `or switched-off ports, ${share(features.nested)} with nested adapters, ` +
      `${share(features.held)} with holds`,
  );
  tell(faults);
}
if (what === 'all' || what === 'sheets') {
  const { fields, right, wrong, notes } = scoreSamples(SAMPLES);
  const share = (part: number) => `${((100 * part) / fields).toFixed(1)} %`;
  console.log(
    `${SAMPLES.length} texts of parts: ${fields} fields, ${share(right)} read right, ${share(wrong)} wrong, ` +
      `${share(fields - right - wrong)} left open`,
  );
  for (const note of notes.slice(0, 20)) console.log(`  ${note}`);
  failed ||= right / fields < 0.95 || wrong / fields > 0.005;
}
process.exit(failed ? 1 : 0);
