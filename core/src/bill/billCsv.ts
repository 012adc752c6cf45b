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
  'doubtful',
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
    price.doubtful === undefined ? '' : price.doubtful ? 'yes' : 'no',
  ];
}

/**
 * The bill as CSV (RFC 4180), money with as many decimals as its currency has. What else a part was offered for follows
 * its line, as lines whose deal is `offer`: they are in no sum.
 */
export function billCsv({ currency, lines, total }: Bill): string {
  const digits = Math.round(Math.log10(minorPerMajor(currency)));
  const money = (value: number | null) => (value === null ? '' : value.toFixed(digits));
  const rows = lines.flatMap((line) => [
    [
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
    ],
    ...line.aside.map((offer) => [
      ...[line.mark, line.what, line.maker, line.kind, line.count, 'offer', '', '', currency, '', ''],
      line.item ?? '',
      ...priceCells(offer),
    ]),
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
