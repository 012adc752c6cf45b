import { useState } from 'react';
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
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';

const CONDITIONS: readonly (readonly [NonNullable<Item['condition']>, string])[] = [
  ['new', 'new'],
  ['good', 'used, good'],
  ['worn', 'used, worn'],
  ['doubtful', 'doubtful'],
];
/** Of these more than one is bought on one line. */
const COUNTED = new Set(['drive', 'memory', 'fan', 'controller', 'carrier', 'adapter', 'networkCard', 'cable']);

/** The line of the kit that a part belongs to: how many, what one costs and when that was, how it comes. */
export function ItemLine({ unit }: { readonly unit: PlannedUnit }) {
  const build = useAppSelector((state) => state.bench.build)!;
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<string | null>(null);
  const item = unit.item && build.items.find(({ id }) => id === unit.item!.id);
  if (!item) return null;
  const act = (one: Edit | null, words?: string) => {
    setProblem(null);
    if (one) void dispatch(edit([one], words));
  };
  const patch = (changes: Partial<Item>, words: string) =>
    act({ type: 'item.patch', item: item.id, patch: changes }, words);
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
                patch({ price }, `${unit.part.name}: ${text.trim()} ${price.currency}`);
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
          <span className="text-mid">It comes</span>
          <select
            className="field w-36"
            aria-label={`Condition of ${unit.part.name}`}
            value={item.condition ?? 'new'}
            onChange={(event) => {
              const condition = CONDITIONS.find(([one]) => one === event.target.value)![0];
              patch({ condition }, `${unit.part.name}: ${condition}`);
            }}
          >
            {CONDITIONS.map(([one, words]) => (
              <option key={one} value={one}>
                {words}
              </option>
            ))}
          </select>
        </>
      )}
      {problem && (
        <p role="alert" className="bad col-span-2">
          {problem} What was there is kept.
        </p>
      )}
    </div>
  );
}

const priceText = ({ minor, currency }: NonNullable<Item['price']>): string => String(minor / minorPerMajor(currency));

/** A price as typed, in the currency it was in; a sentence where it cannot be read. */
function priceFrom(text: string, item: Item, build: Build): NonNullable<Item['price']> | string {
  const currency = item.price?.currency ?? build.currency;
  const read = readNumber(text, { unit: currency });
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

type TypedProps = {
  readonly label: string;
  readonly text: string;
  readonly className: string;
  readonly placeholder?: string;
  readonly onTyped: (text: string) => void;
};

/** A short answer that is taken by Enter or on leaving; Escape gives back what was there. */
function Typed({ label, text, className, placeholder, onTyped }: TypedProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    if (typed === null || typed.trim() === text) return setTyped(null);
    onTyped(typed);
    setTyped(null);
  };
  return (
    <input
      className={`field mono ${className}`}
      aria-label={label}
      inputMode="decimal"
      placeholder={placeholder}
      value={typed ?? text}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        setTyped(null);
      }}
    />
  );
}
