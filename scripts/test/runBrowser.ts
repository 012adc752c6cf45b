import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { run, type Count } from './runJest';
import { withControl, withServer } from './withServer';

/** The longest first, so that none of them is begun when the others are done. */
const LONGEST = ['lookLight.spec.ts', 'saving.spec.ts', 'lookDark.spec.ts', 'journeys.spec.ts', 'faults.spec.ts'];
const rank = (name: string) => (LONGEST.includes(name) ? LONGEST.indexOf(name) : LONGEST.length);
const lots = (): (readonly string[])[] =>
  readdirSync('e2e')
    .filter((name) => name.endsWith('.spec.ts'))
    .sort((a, b) => rank(a) - rank(b))
    .map((name) => [`e2e/${name}`]);

/**
 * The journeys in headless Chromium against the built app; counts them. Each file of them has a server, a database
 * and a browser of its own, so that none meets what another changes. As many go side by side as there are
 * processors: a third beside them took no less time together, and let pages starve on a busy machine.
 */
export async function runBrowser(args: readonly string[] = []): Promise<Count> {
  const waiting = [...(args.length > 0 ? [args] : lots()).entries()];
  const sum = { passed: 0, failed: 0 };
  const line = async (): Promise<void> => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const { passed, failed } = await runLot(next[1], next[0]);
      sum.passed += passed;
      sum.failed += failed;
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, line));
  return sum;
}

async function runLot(args: readonly string[], lot: number): Promise<Count> {
  const [output, file] = [`test-results/browser-${lot}`, `test-results/browser-${lot}.json`];
  mkdirSync('test-results', { recursive: true });
  rmSync(file, { force: true });
  const cli = ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts'];
  const code = await withServer((serving, database) =>
    withControl(database, (control) =>
      run('node', [...cli, '--output', output, ...args], {
        INCH_TOWER_URL: serving.url,
        INCH_TOWER_CONTROL: control,
        PLAYWRIGHT_JSON_OUTPUT_NAME: `../${file}`,
      }),
    ),
  );
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { stats } = JSON.parse(readFileSync(file, 'utf8')) as {
    stats: { expected: number; unexpected: number; flaky: number };
  };
  if (stats.flaky) console.log(`${args.join(' ')}: ${stats.flaky} passed at the second try only`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected || (code ? 1 : 0) };
}
