/** `./inch`: a build file assessed, its bill or its drawing, without a server. Exit codes stand in docs/formats.md. */
import { readFileSync } from 'node:fs';
import {
  billCsv,
  billOf,
  createAssessor,
  drawingSvg,
  FIGURES,
  LIMITS,
  parseBuildText,
  sceneOf,
  acceptedReason,
  verdictOf,
  wordsOf,
  type Assessment,
  type Assessor,
  type Build,
} from '@inch-tower/core';

const SOUND = 0;
const BLOCKED = 1;
const UNUSABLE = 2;
/** EX_SOFTWARE of sysexits: a fault of ours is no verdict on the build. */
const INTERNAL = 70;
const USAGE = `Usage: ./inch assess FILE [--text] [--complete]   figures and snags, JSON or a report
       ./inch bill FILE                          the bill as CSV
       ./inch drawing FILE                       the drawing as SVG
       ./inch sheet FILE [--kind=KIND] [--model=N]  a part read from a specification, JSON
       ./inch keys                               keys of a server reached from beyond its machine
FILE may be - for standard input. Exit code 0 clear or parts missing, 1 blocked (with
--complete also parts missing), 2 unusable input, 70 a fault of ours.`;

const fail = (words: string): never => {
  process.stderr.write(`${words}\n`);
  process.exit(UNUSABLE);
};

function readBuild(file: string): Build {
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    return fail(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown'}).`);
  }
  if (text.length > LIMITS.bodyBytes) return fail(`${file}: larger than ${LIMITS.bodyBytes / 1024 / 1024} MB.`);
  const parsed = parseBuildText(text);
  return parsed.ok ? parsed.build : fail(`${file}: ${parsed.words}`);
}

/** Units of what comes in whole pieces. */
const COUNTS: ReadonlySet<string> = new Set(['drives', 'bays', 'ports', 'slots', 'lanes']);

/** `1 port`, not `1 ports`. */
const inOne = (unit: string, value: number): string => (COUNTS.has(unit) && value === 1 ? unit.slice(0, -1) : unit);

function report(
  build: Build,
  { status, figures, snags, open, needs }: Assessment,
  states: ReturnType<Assessor['keyed']>,
): string {
  const told = snags.map((snag) => {
    const accepted = acceptedReason(build, snag);
    return accepted === undefined ? snag : { ...snag, accepted };
  });
  const { words, notComputed } = verdictOf({ status, open, snags: told, figures });
  const number = (value: number) => (Math.abs(value) >= 100 ? value.toFixed(0) : value.toFixed(1));
  const counted = (value: number, unit: string) => (COUNTS.has(unit) ? value.toFixed(0) : number(value));
  const lines = Object.values(figures).map(
    (figure) =>
      `  ${FIGURES[figure.id].label.padEnd(20)} ${counted(figure.value, figure.unit).padStart(9)} ` +
      inOne(figure.unit, figure.value) +
      (figure.lo === figure.hi ? '' : `  (${number(figure.lo)} to ${number(figure.hi)})`),
  );
  const byState = states
    .filter(({ key }) => key.box === undefined)
    .map(
      ({ key, value, lo, hi, unit }) =>
        `  ${`Wall, ${key.state}`.padEnd(20)} ${number(value).padStart(9)} ${unit}  (${number(lo)} to ${number(hi)})`,
    );
  const found = told.flatMap((snag) => {
    const { what, why } = wordsOf(snag);
    return 'accepted' in snag
      ? [`  accepted: ${what}`, `    ${snag.accepted}`]
      : [`  ${snag.severity}: ${what}`, `    ${why}`];
  });
  return [
    `${build.name || 'Unnamed'}: ${words}${notComputed ? `; ${notComputed}` : ''}`,
    '',
    'Figures',
    ...(lines.length ? lines : ['  none yet']),
    ...byState,
    '',
    'Snags',
    ...(found.length ? found : ['  none']),
    ...(open.length ? ['', `Still open: ${open.map((one) => one.label.toLowerCase()).join(', ')}`] : []),
    ...(needs.needs.length
      ? [
          '',
          'Cables',
          ...needs.needs.map(
            (need) => `  ${need.count} × ${need.cable.name}${need.toBuy ? `, ${need.toBuy} to buy` : ''}`,
          ),
        ]
      : []),
    '',
  ].join('\n');
}

function fault(error: unknown): never {
  process.stderr.write(`A fault of ours, not of the file: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(INTERNAL);
}
process.on('uncaughtException', fault);
process.on('unhandledRejection', fault);

const [command, ...rest] = process.argv.slice(2);
if (command === 'keys') process.exit(await (await import('./keys')).keysCommand(rest));
if (command === 'sheet') {
  const { sheetCommand } = await import('./sheetCommand');
  const { code, out, words } = sheetCommand(rest);
  if (words) process.stderr.write(`${words}\n`);
  if (out) process.stdout.write(out);
  process.exit(code);
}
const flags = new Set(rest.filter((one) => one.startsWith('--')));
const files = rest.filter((one) => !one.startsWith('--'));
const known = command === 'assess' ? ['--text', '--complete'] : [];
const wrong = [...flags].find((flag) => !known.includes(flag));
if (command === '--help' || command === 'help') {
  console.log(USAGE);
  process.exit(SOUND);
}
if (!command || !['assess', 'bill', 'drawing'].includes(command) || files.length !== 1 || wrong)
  fail(wrong ? `${command} has no ${wrong}.\n${USAGE}` : USAGE);
const build = readBuild(files[0]!);
const assessor = createAssessor();
const assessment = assessor.assess(build, { asOf: new Date().toISOString().slice(0, 10) });
const { units, ...plain } = assessment;
const output =
  command === 'bill'
    ? billCsv(billOf(build, assessment))
    : command === 'drawing'
      ? drawingSvg(build, sceneOf(units, assessment.layout).boxes)
      : flags.has('--text')
        ? report(build, assessment, assessor.keyed(build))
        : JSON.stringify(
            {
              ...plain,
              states: assessor.keyed(build),
              unplaced: plain.unplaced.map((unit) => unit.id),
              unconnected: plain.unconnected.map((unit) => unit.id),
              needs: plain.needs.needs,
              snags: plain.snags.map((snag) => ({ ...snag, ...wordsOf(snag) })),
            },
            null,
            1,
          ) + `\n`;
const notDone = assessment.status === 'partsMissing' || assessment.status === 'empty';
const code = assessment.status === 'blocked' || (flags.has('--complete') && notDone) ? BLOCKED : SOUND;
// Written out whole before leaving, also into a pipe.
process.stdout.write(output, () => process.exit(code));
