import Papa from 'papaparse';
import { z } from 'zod';
import type { Build, Item, Price } from '../build/build';
import type { Edit } from '../build/edits';
import { minorPerMajor } from '../parts/currency';
import { LIMITS } from '../parts/limits';
import { readNumber } from '../parts/readNumber';
import { moneySchema } from '../parts/sheet';

/** What a table changes of a machine, lines that are of nothing here, and what was not read, by its row. */
type BillRead = {
  readonly edits: readonly Edit[];
  readonly changed: readonly string[];
  readonly unknown: readonly string[];
  readonly problems: readonly string[];
};
export type BillReading = ({ readonly ok: true } & BillRead) | { readonly ok: false; readonly words: string };

const MOST_CHARACTERS = 2_000_000;
const MOST_ROWS = 5_000;
const MOST_MAJOR = 1e9;

type Row = Readonly<Record<string, string | undefined>>;
/** Spreadsheets are kept from taking words for formulas by an apostrophe before them. */
const plain = (text: string | undefined): string => (text ?? '').trim().replace(/^'(?=[=+\-@\t\r])/, '');

/**
 * Prices and deals from a bill that was given out as a table and filled in elsewhere. A line is known by its `item`, or
 * by its `mark`; a line with anything that cannot be read changes nothing.
 */
export function readBill(text: string, build: Pick<Build, 'items' | 'sheets' | 'copies'>): BillReading {
  if (text.length > MOST_CHARACTERS) return { ok: false, words: 'The table is larger than 2 MB; nothing was changed.' };
  const { data, meta } = Papa.parse<Row>(text.trim(), { header: true, skipEmptyLines: 'greedy' });
  const fields = new Set(meta.fields ?? []);
  if (!(fields.has('item') || fields.has('mark')) || !fields.has('price'))
    return { ok: false, words: 'The table has no columns “item” or “mark” and “price”; nothing was changed.' };
  if (data.length > MOST_ROWS)
    return { ok: false, words: `The table has more than ${MOST_ROWS} rows; nothing was changed.` };
  const read: { edits: Edit[]; changed: string[]; unknown: string[]; problems: string[] } = {
    edits: [],
    changed: [],
    unknown: [],
    problems: [],
  };
  const byMark = new Map(build.items.flatMap((item) => item.units.map(({ mark }) => [mark as string, item] as const)));
  const byId = new Map(build.items.map((item) => [item.id as string, item]));
  const offers = new Map<Item, Price[]>();
  for (const [i, row] of data.entries()) {
    const item = byId.get(plain(row.item)) ?? byMark.get(plain(row.mark).split('–')[0] ?? '');
    if (!item) {
      if (plain(row.price) !== '') read.unknown.push(plain(row.what) || `row ${i + 2}`);
      continue;
    }
    const name = build.sheets[item.sheet]?.name ?? plain(row.what);
    if (plain(row.deal) === 'offer') {
      const offer = priceOf(row, undefined, fields);
      if (typeof offer === 'string') read.problems.push(`Row ${i + 2}, ${name}: ${offer}`);
      else if (offer) offers.set(item, [...(offers.get(item) ?? []), offer]);
      continue;
    }
    const patch = countTrouble(row, item, build.copies, fields) ?? patchOf(row, item, fields);
    if (typeof patch === 'string') read.problems.push(`Row ${i + 2}, ${name}: ${patch}`);
    else if (patch) {
      read.edits.push({ type: 'item.patch', item: item.id, patch });
      read.changed.push(name);
    }
  }
  for (const [item, list] of offers) takeOffers(item, list, build, read);
  return { ok: true, ...read };
}

/** What a table has of offers stands in the place of those an item had; a table without any leaves them. */
function takeOffers(
  item: Item,
  list: readonly Price[],
  { sheets }: Pick<Build, 'sheets'>,
  read: { readonly edits: Edit[]; readonly changed: string[]; readonly problems: string[] },
): void {
  const name = sheets[item.sheet]?.name ?? '';
  if (list.length > LIMITS.offers)
    return void read.problems.push(`${name}: more than ${LIMITS.offers} offers; those it has are kept.`);
  const same = (one: Price, at: number) => JSON.stringify(sorted(one)) === JSON.stringify(sorted(item.offers?.[at]));
  if (list.length === (item.offers?.length ?? 0) && list.every(same)) return;
  read.edits.push({ type: 'item.patch', item: item.id, patch: { offers: [...list] } });
  if (!read.changed.includes(name)) read.changed.push(name);
}

/** How many of a part there are is changed where its places are, not by a table: a table that says another is told. */
function countTrouble(row: Row, item: Item, copies: number, fields: ReadonlySet<string>): string | null {
  const said = fields.has('count') ? plain(row.count) : '';
  const here = (item.count ?? item.units.length) * copies;
  return said === '' || Number(said) === here
    ? null
    : `“${said.slice(0, 40)}” in the table, ${here} here: change that in the kit.`;
}

type Patch = Pick<Item, 'deal' | 'price'>;

/** What a row changes of its item; null where nothing, a sentence where it cannot be read. */
function patchOf(row: Row, item: Item, fields: ReadonlySet<string>): Partial<Patch> | string | null {
  const deal = fields.has('deal') ? plain(row.deal) : item.deal;
  if (deal !== 'buy' && deal !== 'owned') return `“${deal.slice(0, 40)}” is neither buy nor owned.`;
  const price = priceOf(row, item.price, fields);
  if (typeof price === 'string') return price;
  const isSame = JSON.stringify(sorted(price)) === JSON.stringify(sorted(item.price));
  if (isSame && deal === item.deal) return null;
  return { ...(deal === item.deal ? {} : { deal }), ...(isSame ? {} : { price }) };
}

const sorted = (price: Price | undefined) => price && Object.entries(price).sort(([a], [b]) => (a < b ? -1 : 1));

/** The price of a row; what has no column here stays as it was. */
function priceOf(row: Row, before: Price | undefined, fields: ReadonlySet<string>): Price | string | undefined {
  if (plain(row.price) === '') return undefined;
  const currency = plain(row.priceCurrency) || before?.currency || plain(row.currency);
  const known = moneySchema.shape.currency.safeParse(currency);
  if (!known.success) return `“${currency.slice(0, 40)}” is no currency of three letters.`;
  const minor = minorOf(row.price, known.data);
  if (typeof minor === 'string') return minor;
  const shipping = fields.has('shipping') ? minorOf(row.shipping, known.data) : before?.shippingMinor;
  if (typeof shipping === 'string') return `shipping: ${shipping}`;
  const tax = fields.has('tax') ? taxOf(row.tax) : before;
  if (typeof tax === 'string') return tax;
  const at = fields.has('at') ? plain(row.at) : (before?.at ?? '');
  if (at !== '' && !z.iso.date().safeParse(at).success) return `“${at.slice(0, 40)}” is no day as 2026-11-29.`;
  const from = (fields.has('from') ? plain(row.from) : (before?.from ?? '')).slice(0, 200);
  const per = plain(row.per) || before?.per || 'unit';
  if (per !== 'unit' && per !== 'item') return `“${per.slice(0, 40)}” is neither unit nor item.`;
  const offer = offerOf(row, before, fields);
  if (typeof offer === 'string') return offer;
  return {
    ...offer,
    minor: minor ?? 0,
    currency: known.data,
    per,
    taxIncluded: tax?.taxIncluded ?? true,
    ...(tax?.taxPct === undefined ? {} : { taxPct: tax.taxPct }),
    ...(shipping === undefined ? {} : { shippingMinor: shipping }),
    ...(at === '' ? {} : { at }),
    ...(from === '' ? {} : { from }),
  };
}

type Offer = Pick<Price, 'seller' | 'tested' | 'deliveryDays' | 'warrantyMonths' | 'doubtful'>;

/** Of whom, tested or not, in how many days and with how many months of warranty. */
function offerOf(row: Row, before: Price | undefined, fields: ReadonlySet<string>): Offer | string {
  const cell = (name: keyof Offer): string | undefined => (fields.has(name) ? plain(row[name]) : undefined);
  const whole = (name: 'deliveryDays' | 'warrantyMonths', most: number): number | string | undefined => {
    const said = cell(name);
    if (said === undefined) return before?.[name];
    if (said === '') return undefined;
    const value = Number(said);
    return Number.isInteger(value) && value >= 0 && value <= most ? value : `“${said.slice(0, 40)}” is no ${name}.`;
  };
  const seller = cell('seller') ?? before?.seller ?? '';
  if (seller !== '' && seller !== 'shop' && seller !== 'private')
    return `“${seller.slice(0, 40)}” is neither shop nor private.`;
  const tested = cell('tested');
  if (tested !== undefined && !['', 'yes', 'no'].includes(tested))
    return `“${tested.slice(0, 40)}” is neither yes nor no.`;
  const isTested = tested === undefined ? before?.tested : tested === '' ? undefined : tested === 'yes';
  const doubt = cell('doubtful');
  if (doubt !== undefined && !['', 'yes', 'no'].includes(doubt))
    return `“${doubt.slice(0, 40)}” is neither yes nor no.`;
  const isDoubtful = doubt === undefined ? before?.doubtful : doubt === '' ? undefined : doubt === 'yes';
  const [deliveryDays, warrantyMonths] = [whole('deliveryDays', 365), whole('warrantyMonths', 240)];
  if (typeof deliveryDays === 'string') return deliveryDays;
  if (typeof warrantyMonths === 'string') return warrantyMonths;
  return {
    ...(seller === '' ? {} : { seller }),
    ...(isTested === undefined ? {} : { tested: isTested }),
    ...(isDoubtful === undefined ? {} : { doubtful: isDoubtful }),
    ...(deliveryDays === undefined ? {} : { deliveryDays }),
    ...(warrantyMonths === undefined ? {} : { warrantyMonths }),
  };
}

function minorOf(text: string | undefined, currency: string): number | string | undefined {
  if (plain(text) === '') return undefined;
  const read = readNumber(plain(text), { unit: currency, dotIsDecimal: true });
  if (!read.ok) return `${read.words}.`;
  if (read.value < 0 || read.value > MOST_MAJOR) return `${plain(text).slice(0, 40)} is no price.`;
  return Math.round(read.value * minorPerMajor(currency));
}

/** Tax in %, to be added or `19 included`; nothing there: it is included. */
function taxOf(text: string | undefined): Pick<Price, 'taxIncluded' | 'taxPct'> | string {
  if (plain(text) === '') return { taxIncluded: true };
  const number = plain(text).replace(/\s*included$/, '');
  const read = readNumber(number, { unit: '%', dotIsDecimal: true });
  if (!read.ok) return `tax: ${read.words}.`;
  if (read.value < 0 || read.value > 100) return 'tax: from 0 to 100 %.';
  return { taxIncluded: number !== plain(text), taxPct: read.value };
}
