import { readFileSync } from 'node:fs';
import { PART_KINDS, readSpec, type PartKind } from '@inch-tower/core';

const SOUND = 0;
const UNUSABLE = 2;
type Done = { readonly code: number; readonly out?: string; readonly words?: string };

/** `./inch sheet`: the fields of a part out of the text of its specification, each with the line it was read from. */
export function sheetCommand(args: readonly string[]): Done {
  const files = args.filter((one) => !one.startsWith('--'));
  const flags = args.filter((one) => one.startsWith('--'));
  const said = flags.flatMap((one) => (one.startsWith('--kind=') ? [one.slice('--kind='.length)] : []))[0];
  const column = flags.flatMap((one) => (one.startsWith('--model=') ? [one.slice('--model='.length)] : []))[0];
  const wrong = flags.find((one) => !one.startsWith('--kind=') && !one.startsWith('--model='));
  if (column !== undefined && !/^[1-9]\d?$/.test(column))
    return { code: UNUSABLE, words: `“${column.slice(0, 40)}” is no number of a column.` };
  if (wrong) return { code: UNUSABLE, words: `sheet has no ${wrong}.` };
  if (files.length !== 1) return { code: UNUSABLE, words: 'sheet takes one file, or - for standard input.' };
  const kind = PART_KINDS.find((one) => one === said);
  if (said !== undefined && !kind)
    return { code: UNUSABLE, words: `“${said.slice(0, 40)}” is none of ${PART_KINDS.join(', ')}.` };
  let text: string;
  try {
    text = readFileSync(files[0] === '-' ? 0 : files[0]!, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return { code: UNUSABLE, words: `${files[0]}: cannot be read (${code ?? 'unknown'}).` };
  }
  const read = readSpec(text, kind as PartKind | undefined, column === undefined ? null : Number(column) - 1);
  if (!read.ok) return { code: UNUSABLE, words: read.words };
  const { ok: _, fields, ...rest } = read;
  return {
    code: SOUND,
    out: `${JSON.stringify(
      {
        ...rest,
        values: Object.fromEntries(fields.map(({ field, value }) => [field, value])),
        lines: Object.fromEntries(fields.map(({ field, line, text: words }) => [field, { line, text: words }])),
      },
      null,
      2,
    )}\n`,
  };
}
