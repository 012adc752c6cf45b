import Papa from 'papaparse';
import type { PowerLine } from './plugRows';

/** The list of power plugs as CSV (RFC 4180). */
export const powerCsv = (lines: readonly PowerLine[]): string =>
  Papa.unparse(
    {
      fields: ['label', 'from', 'plug', 'to', 'mark', '12 V / 5 V at the start', '12 V / 5 V at work', 'how'],
      data: lines.map((line) => [
        line.label,
        line.from,
        line.plug,
        line.to,
        line.marks,
        line.start,
        line.run,
        line.how,
      ]),
    },
    { newline: '\r\n', escapeFormulae: true },
  ) + `\r\n`;
