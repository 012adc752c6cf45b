import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { run, type Count } from './runJest';
import { withControl, withServer } from './withServer';

/** The journeys in headless Chromium against the built app; counts them. */
export async function runBrowser(args: readonly string[] = []): Promise<Count> {
  const file = 'test-results/browser.json';
  mkdirSync('test-results', { recursive: true });
  rmSync(file, { force: true });
  const code = await withServer((serving, database) =>
    withControl(database, (control) =>
      run('node', ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts', ...args], {
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
