import Papa from 'papaparse';
import type { Price } from '../build/build';
import { minorPerMajor } from '../parts/currency';
import type { Bill } from './bill';

/** A price as it was put down: what a table is filled in with, and read back from. */
const PRICE = [
  'price',
  'priceCurrency',
  'per',
  'shipping',
  'tax',
  'from',
  'at',
  'seller',
  'tested',
  'deliveryDays',
  'warrantyMonths',
] as const;
function priceCells(price: Price | null): readonly (string | number)[] {
  if (!price) return PRICE.map(() => '');
  const major = minorPerMajor(price.currency);
  const money = (minor: number) => (minor / major).toFixed(Math.round(Math.log10(major)));
  return [
    money(price.minor),
    price.currency,
    price.per,
    price.shippingMinor === undefined ? '' : money(price.shippingMinor),
    price.taxIncluded ? (price.taxPct === undefined ? '' : `${price.taxPct} included`) : (price.taxPct ?? 0),
    price.from ?? '',
    price.at ?? '',
    price.seller ?? '',
    price.tested === undefined ? '' : price.tested ? 'yes' : 'no',
    price.deliveryDays ?? '',
    price.warrantyMonths ?? '',
  ];
}

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
    line.item ?? '',
    ...priceCells(line.price),
    line.lot ?? '',
  ]);
  return (
    Papa.unparse(
      {
        fields: [
          'mark',
          'what',
          'maker',
          'kind',
          'count',
          'deal',
          'each',
          'total',
          'currency',
          'basis',
          'note',
          'item',
          ...PRICE,
          'lot',
        ],
        data: [...rows, ['', 'Together', '', '', '', '', '', money(total), currency]],
      },
      { newline: '\r\n', escapeFormulae: true },
    ) + `\r\n`
  );
}
