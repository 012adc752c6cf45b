import Papa from 'papaparse';
import { minorPerMajor } from '../parts/currency';
import type { Bill } from './bill';

/** The bill as CSV (RFC 4180), money with as many decimals as its currency has. */
export function billCsv({ currency, lines, total }: Bill): string {
  const digits = Math.round(Math.log10(minorPerMajor(currency)));
  const money = (value: number | null) => (value === null ? '' : value.toFixed(digits));
  const rows = lines.map((line) => [
    line.mark,
    line.what,
    line.maker,
    line.kind,
    line.count,
    line.deal,
    money(line.each),
    money(line.total),
    currency,
    line.basis,
    line.note,
  ]);
  return (
    Papa.unparse(
      {
        fields: ['mark', 'what', 'maker', 'kind', 'count', 'deal', 'each', 'total', 'currency', 'basis', 'note'],
        data: [...rows, ['', 'Together', '', '', '', '', '', money(total), currency, '', '']],
      },
      { newline: '\r\n', escapeFormulae: true },
    ) + `\r\n`
  );
}
