import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';

export type Count = { readonly passed: number; readonly failed: number };

/** Runs a program with its output on ours; gives its exit code. */
export function run(command: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<number> {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
    child.on('exit', (code) => resolve(code ?? 1));
  });
}

/** Runs Jest projects and counts their tests; a run that reports nothing counts as one failure. */
export async function runJest(projects: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<Count> {
  mkdirSync('test-results', { recursive: true });
  const file = join('test-results', `jest-${projects.join('-')}.json`);
  rmSync(file, { force: true });
  await run(
    'node',
    [
      'node_modules/jest/bin/jest.js',
      '--selectProjects',
      ...projects,
      '--json',
      `--outputFile=${file}`,
      '--silent',
      '--forceExit',
    ],
    env,
  );
  try {
    const report = JSON.parse(readFileSync(file, 'utf8')) as {
      numPassedTests: number;
      numFailedTests: number;
      numFailedTestSuites: number;
      numRuntimeErrorTestSuites: number;
    };
    return { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites };
  } catch {
    return { passed: 0, failed: 1 };
  }
}
