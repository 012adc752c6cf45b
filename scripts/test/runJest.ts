import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, relative } from 'node:path';

export type Count = { readonly passed: number; readonly failed: number };

/** Runs a program with its output on ours; gives its exit code. */
export function run(command: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<number> {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
    child.on('exit', (code) => resolve(code ?? 1));
  });
}

const reportOf = (projects: readonly string[]): string => join('test-results', `jest-${projects.join('-')}.json`);

/** Runs Jest projects and counts their tests; a run that reports nothing counts as one failure. */
export async function runJest(projects: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<Count> {
  mkdirSync('test-results', { recursive: true });
  const file = reportOf(projects);
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
      // One less would be taken by itself: nothing else runs beside the tests.
      `--maxWorkers=${availableParallelism()}`,
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

type FileReport = { readonly name: string; readonly startTime: number; readonly endTime: number };

/** The files of the last run that took longest, each with its seconds. */
export function slowestFiles(projects: readonly string[], most: number): readonly string[] {
  try {
    const { testResults } = JSON.parse(readFileSync(reportOf(projects), 'utf8')) as {
      readonly testResults: readonly FileReport[];
    };
    return testResults
      .map(({ name, startTime, endTime }) => ({ name: relative('.', name), seconds: (endTime - startTime) / 1000 }))
      .sort((a, b) => b.seconds - a.seconds)
      .slice(0, most)
      .map(({ name, seconds }) => `${name} ${seconds.toFixed(0)} s`);
  } catch {
    return [];
  }
}
