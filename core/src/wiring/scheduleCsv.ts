import Papa from 'papaparse';
import type { ScheduleLine } from './schedule';

/** The schedule as CSV (RFC 4180). */
export function scheduleCsv(lines: readonly ScheduleLine[]): string {
  return (
    Papa.unparse(
      {
        fields: ['label', 'from', 'to', 'drives', 'cable', 'direction', 'length', 'source', 'how'],
        data: lines.map((line) => [
          line.label,
          line.from,
          line.to,
          line.drives,
          line.kind,
          line.direction,
          line.length,
          line.source,
          line.how,
        ]),
      },
      { newline: '\r\n', escapeFormulae: true },
    ) + `\r\n`
  );
}
