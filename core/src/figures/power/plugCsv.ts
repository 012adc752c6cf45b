import Papa from 'papaparse';
import type { PowerLine } from './plugRows';

/** A small cable on a header, as it stands in a list. */
type HeaderRow = Readonly<Record<'from' | 'to' | 'mark' | 'amps' | 'note', string>>;

/** The list of power plugs, and of what is on headers, as CSV (RFC 4180). */
export const powerCsv = (lines: readonly PowerLine[], headers: readonly HeaderRow[] = []): string =>
  Papa.unparse(
    {
      fields: ['label', 'from', 'plug', 'to', 'mark', '12 V / 5 V at the start', '12 V / 5 V at work', 'how'],
      data: [
        ...lines.map((line) => [line.label, line.from, line.plug, line.to, line.marks, line.start, line.run, line.how]),
        ...headers.map(({ from, to, mark, amps, note }) => ['', from, '', to, mark, '', amps, note]),
      ],
    },
    { newline: '\r\n', escapeFormulae: true },
  ) + `\r\n`;
