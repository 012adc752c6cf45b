import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { run, type Count } from './runJest';
import { withControl, withServer } from './withServer';

const specs = readdirSync('e2e').filter((name) => name.endsWith('.spec.ts'));
/** What only looks, what waits for failures, and the journeys take about as long. */
const LOOKS = ['look.spec.ts'];
const FAILURES = ['faults.spec.ts', 'saving.spec.ts'];
const LOTS: readonly (readonly string[])[] = [
  LOOKS,
  FAILURES,
  specs.filter((name) => !LOOKS.includes(name) && !FAILURES.includes(name)),
].map((lot) => lot.map((name) => `e2e/${name}`));

/**
 * The journeys in headless Chromium against the built app; counts them. All of them go in lots side by side, each
 * with a server, a database and a browser of its own, so that none meets what another changes.
 */
export async function runBrowser(args: readonly string[] = []): Promise<Count> {
  const counts = await Promise.all((args.length > 0 ? [args] : LOTS).map(runLot));
  return counts.reduce((a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed }));
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
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky || (code ? 1 : 0) };
}
