import { minorPerMajor, readNumber, type Item } from '@inch-tower/core';
import { Offer } from './Offer';
import { Typed } from './Typed';

type Price = NonNullable<Item['price']>;
type Props = {
  readonly name: string;
  readonly price: Price;
  readonly many: number;
  readonly onPrice: (price: Price, words: string) => void;
  readonly onProblem: (words: string) => void;
};

/** What belongs to a price besides the number: of one or of all, shipping, tax, and where it was seen. */
export default function PriceDetails({ name, price, many, onPrice, onProblem }: Props) {
  const per = minorPerMajor(price.currency);
  const typed =
    (what: string, unit: string, most: number, take: (value: number | undefined) => Price) =>
    (text: string): void => {
      if (text.trim() === '') return onPrice(take(undefined), `${name}: ${what.toLowerCase()} open`);
      const read = readNumber(text, { unit });
      if (!read.ok) return onProblem(`${what}: ${read.words}.`);
      if (read.value < 0 || read.value > most) return onProblem(`${what}: from 0 to ${most} ${unit}.`);
      onPrice(take(read.value), `${name}: ${what.toLowerCase()} ${text.trim()}`);
    };
  return (
    <details className="col-span-2">
      <summary className="min-h-6 cursor-pointer text-mid">More of this price</summary>
      <div className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-1">
        {many > 1 && (
          <>
            <span className="text-mid">It is of</span>
            <select
              className="field w-36"
              aria-label={`What the price of ${name} is of`}
              value={price.per}
              onChange={(event) => {
                const next = event.target.value === 'item' ? 'item' : 'unit';
                onPrice({ ...price, per: next }, `${name}: price of ${next === 'item' ? 'all' : 'one'}`);
              }}
            >
              <option value="unit">one</option>
              <option value="item">all {many}</option>
            </select>
          </>
        )}
        <span className="text-mid">Shipping</span>
        <span className="flex items-center gap-1.5">
          <Typed
            label={`Shipping of ${name}`}
            text={price.shippingMinor === undefined ? '' : String(price.shippingMinor / per)}
            className="w-20 text-right"
            placeholder="none"
            onTyped={typed('Shipping', price.currency, 1e6, (value) => {
              const { shippingMinor: _old, ...rest } = price;
              return value === undefined ? rest : { ...rest, shippingMinor: Math.round(value * per) };
            })}
          />
          <span className="mono text-[12px] text-mid">{price.currency}</span>
        </span>
        <span className="text-mid">Tax to add</span>
        <span className="flex items-center gap-1.5">
          <Typed
            label={`Tax on ${name}, in %`}
            text={price.taxIncluded ? '' : String(price.taxPct ?? 0)}
            className="w-20 text-right"
            placeholder="included"
            onTyped={typed('Tax', '%', 100, (value) => {
              const { taxPct: _old, ...rest } = price;
              return value === undefined
                ? { ...rest, taxIncluded: true }
                : { ...rest, taxIncluded: false, taxPct: value };
            })}
          />
          <span className="mono text-[12px] text-mid">%</span>
        </span>
        <Offer name={name} price={price} onPrice={onPrice} onProblem={onProblem} />
        <span className="text-mid">Seen at</span>
        <Typed
          label={`Where ${name} was seen`}
          text={price.from ?? ''}
          className="w-full"
          isWords
          placeholder="shop, person, market"
          onTyped={(text) => {
            const { from: _old, ...rest } = price;
            const from = text.trim();
            if (from.length > 200) return onProblem('Where it was seen: at most 200 characters.');
            onPrice(from ? { ...rest, from } : rest, `${name}: where it was seen`);
          }}
        />
      </div>
    </details>
  );
}
