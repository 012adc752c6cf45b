/** Every check and test, one after another; ends with one line that counts them. */
import { attack, fuzzRequests } from './attacking';
import { killDuringSaves } from './killing';
import { run, runJest, type Count } from './runJest';
import { runBrowser } from './runBrowser';
import { startFaults } from './startFaults';
import { withDatabase } from './withServer';

const check = async (name: string, command: string, args: readonly string[]): Promise<Count> => {
  const code = await run(command, args);
  console.log(`${name}: ${code === 0 ? 'clean' : 'FAILED'}`);
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
};
const counts: Count[] = [];
for (const part of ['core', 'server', 'web', 'scripts', 'e2e'])
  counts.push(await check(`Types of ${part}`, 'node', ['node_modules/typescript/bin/tsc', '-p', part]));
counts.push(await check('Lint', 'node', ['node_modules/eslint/bin/eslint.js', '.']));
counts.push(
  await check('Format', 'node', ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']),
);
counts.push(await runJest(['core', 'demo', 'web']));
counts.push(await withDatabase((database) => runJest(['server'], { DATABASE_URL: database.url })));
counts.push(await startFaults());
const { kills, edits, acknowledged, lost } = await killDuringSaves(20, Date.now() % 2 ** 31);
console.log(
  `${kills} kills during saves, ${acknowledged} saves acknowledged, ${edits} edits of a ` +
    `page, ${lost.length} lost${lost.map((line) => `\n  ${line}`).join('')}`,
);
counts.push({ passed: lost.length ? 0 : 1, failed: lost.length ? 1 : 0 });
const { held, broken } = await attack((line) => console.log(line));
counts.push({ passed: held, failed: broken.length });
for (const line of broken) console.log(`  ${line}`);
const fuzzed = await fuzzRequests(500, Date.now() % 2 ** 31, () => undefined);
console.log(
  `${fuzzed.sent} odd requests, ${fuzzed.faults.length} faults${fuzzed.faults.map((line) => `\n  ${line}`).join('')}`,
);
counts.push({ passed: fuzzed.faults.length ? 0 : 1, failed: fuzzed.faults.length ? 1 : 0 });
counts.push(await runBrowser());

const sum = (key: keyof Count) => counts.reduce((total, count) => total + count[key], 0);
console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
process.exit(sum('failed') ? 1 : 0);
