import { lazy, Suspense, useState } from 'react';
import {
  countEdit,
  LIMITS,
  minorPerMajor,
  readNumber,
  type Build,
  type Edit,
  type Item,
  type PlannedUnit,
} from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { selectUnits } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { StageOf } from './StageOf';
import { Typed } from './Typed';

const CONDITIONS: readonly (readonly [NonNullable<Item['condition']>, string])[] = [
  ['new', 'new'],
  ['good', 'used, good'],
  ['worn', 'used, worn'],
  ['doubtful', 'doubtful'],
];
/** Of these more than one is bought on one line. */
const COUNTED = new Set(['drive', 'memory', 'fan', 'controller', 'carrier', 'adapter', 'networkCard', 'cable']);

const PriceDetails = lazy(() => import('./PriceDetails'));
const Offers = lazy(() => import('./Offers'));

/** The line of the kit that a part belongs to: how many, what one costs and when that was, how it comes. */
export function ItemLine({ unit }: { readonly unit: PlannedUnit }) {
  const build = useAppSelector((state) => state.bench.build)!;
  const dispatch = useAppDispatch();
  const units = useAppSelector(selectUnits);
  const [problem, setProblem] = useState<string | null>(null);
  const item = unit.item && build.items.find(({ id }) => id === unit.item!.id);
  if (!item) return null;
  const act = (one: Edit | null, words?: string) => {
    setProblem(null);
    if (one) void dispatch(edit([one], words));
  };
  const patch = (changes: Partial<Item>, words: string) =>
    act({ type: 'item.patch', item: item.id, patch: changes }, words);
  const own = units.filter((one) => one.item?.id === item.id);
  const many = item.units.length;
  const setCount = (count: number) => act(countEdit(build, item, count), `${count} × ${unit.part.name}`);
  return (
    <div className="mt-2 grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-1 text-[13px]">
      {COUNTED.has(unit.part.kind) && (
        <>
          <span className="text-mid">How many</span>
          <span className="flex items-center gap-1">
            <button type="button" className="press px-2" disabled={many < 2} onClick={() => setCount(many - 1)}>
              −<span className="sr-only"> one {unit.part.name}</span>
            </button>
            <Typed
              label={`How many ${unit.part.name}`}
              text={String(many)}
              className="w-12 text-center"
              onTyped={(text) => {
                const read = readNumber(text);
                if (!read.ok) return setProblem(`${read.words}.`);
                const most = unit.part.kind === 'drive' ? LIMITS.drives : LIMITS.units;
                if (!Number.isInteger(read.value) || read.value < 1 || read.value > most)
                  return setProblem(`How many: a whole number from 1 to ${most}.`);
                setCount(read.value);
              }}
            />
            <button type="button" className="press px-2" onClick={() => setCount(many + 1)}>
              +<span className="sr-only"> one {unit.part.name}</span>
            </button>
          </span>
        </>
      )}
      {item.deal === 'buy' && (
        <>
          <span className="text-mid">{item.price?.per === 'item' ? 'Price of all' : 'Price of one'}</span>
          <span className="flex flex-wrap items-center gap-1.5">
            <Typed
              label={`Price of ${unit.part.name}`}
              text={item.price ? priceText(item.price) : ''}
              className="w-20 text-right"
              placeholder="typical"
              onTyped={(text) => {
                const price = priceFrom(text, item, build);
                if (typeof price === 'string') return setProblem(price);
                patch({ price }, `${unit.part.name}: ${priceText(price)} ${price.currency}`);
              }}
            />
            <span className="mono text-[12px] text-mid">{item.price?.currency ?? build.currency}</span>
            <label className="flex items-center gap-1.5">
              <span className="text-mid">seen</span>
              <input
                type="date"
                className="field"
                aria-label={`Day of the price of ${unit.part.name}`}
                disabled={!item.price}
                value={item.price?.at ?? ''}
                onChange={(event) => {
                  const { at: _old, ...price } = item.price!;
                  patch(
                    { price: event.target.value ? { ...price, at: event.target.value } : price },
                    `${unit.part.name}: day of the price`,
                  );
                }}
              />
            </label>
          </span>
          {item.price && (
            <Suspense fallback={null}>
              <PriceDetails
                name={unit.part.name}
                price={item.price}
                many={many}
                onPrice={(price, words) => patch({ price }, words)}
                onProblem={setProblem}
              />
              <Offers name={unit.part.name} item={item} units={own} onPatch={patch} />
            </Suspense>
          )}
        </>
      )}
      <span className="text-mid">{item.deal === 'owned' ? 'It is' : 'It comes'}</span>
      <select
        className="field w-36"
        aria-label={`Condition of ${unit.part.name}`}
        value={item.condition ?? ''}
        onChange={(event) => {
          const condition = CONDITIONS.find(([one]) => one === event.target.value)?.[0];
          if (condition) patch({ condition }, `${unit.part.name}: ${condition}`);
        }}
      >
        {item.condition === undefined && <option value="">not said</option>}
        {CONDITIONS.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </select>
      <StageOf
        build={build}
        item={item}
        name={unit.part.name}
        onEdits={(edits, words) => {
          setProblem(null);
          void dispatch(edit(edits, words));
        }}
      />
      {item.deal === 'owned' && <Age name={unit.part.name} item={item} onPatch={patch} onProblem={setProblem} />}
      {problem && (
        <p role="alert" className="bad col-span-2">
          {problem} What was there is kept.
        </p>
      )}
    </div>
  );
}

/** Whether a code is one that money is written in (ISO 4217). */
const isCurrency = (code: string): boolean => Intl.supportedValuesOf('currency').includes(code);

const priceText = ({ minor, currency }: NonNullable<Item['price']>): string => String(minor / minorPerMajor(currency));

/** A price as typed, in the currency named behind it or the one it was in; a sentence where it cannot be read. */
function priceFrom(text: string, item: Item, build: Build): NonNullable<Item['price']> | string {
  const written = /^(.*?)\s*([A-Za-z]{3})$/.exec(text.trim());
  const currency = written ? written[2]!.toUpperCase() : (item.price?.currency ?? build.currency);
  if (written && !isCurrency(currency)) return `${currency} is no currency (ISO 4217, such as EUR).`;
  const read = readNumber(written ? written[1]! : text, { unit: currency });
  if (!read.ok) return `${read.words}.`;
  if (read.value < 0 || read.value > 1e8) return `A price from 0 to 100 000 000 ${currency}.`;
  return {
    ...(item.price ?? { per: 'unit' as const, taxIncluded: true }),
    minor: Math.round(read.value * minorPerMajor(currency)),
    currency,
    // What is typed now is what it costs now.
    at: new Date().toISOString().slice(0, 10),
  };
}

/** How old an owned part is, which its failures rest on. */
function Age({
  name,
  item,
  onPatch,
  onProblem,
}: {
  readonly name: string;
  readonly item: Item;
  readonly onPatch: (changes: Partial<Item>, words: string) => void;
  readonly onProblem: (words: string) => void;
}) {
  const typed =
    (what: string, key: 'year' | 'hours', least: number, most: number) =>
    (text: string): void => {
      const read = readNumber(text);
      if (!read.ok) return onProblem(`${what}: ${read.words}.`);
      if (!Number.isInteger(read.value) || read.value < least || read.value > most)
        return onProblem(`${what}: a whole number from ${least} to ${most}.`);
      onPatch({ [key]: read.value }, `${name}: ${what.toLowerCase()} ${read.value}`);
    };
  return (
    <>
      <span className="text-mid">Year it was made</span>
      <Typed
        label={`Year ${name} was made`}
        text={item.year === undefined ? '' : String(item.year)}
        className="w-20 text-right"
        placeholder="open"
        onTyped={typed('Year', 'year', 1980, 2100)}
      />
      <span className="text-mid">Hours run</span>
      <Typed
        label={`Hours ${name} has run`}
        text={item.hours === undefined ? '' : String(item.hours)}
        className="w-20 text-right"
        placeholder="open"
        onTyped={typed('Hours', 'hours', 0, 1_000_000)}
      />
    </>
  );
}
