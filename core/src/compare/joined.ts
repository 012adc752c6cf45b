import type { Ledger, Quantity } from '../figures/quantity';
import { sumLevels } from '../figures/sound/levels';
import type { ComparedBy, Value, Values } from './compare';

/** How a number of several machines together comes from theirs; `each`: it needs that of every one of them. */
type Joins = { readonly by: 'sum' | 'most' | 'least' | 'level'; readonly each: boolean };
const JOINS: Readonly<Record<Exclude<ComparedBy, 'verdict' | 'perTb'>, Joins>> = {
  usableTb: { by: 'sum', each: false },
  failures: { by: 'least', each: false },
  priceNow: { by: 'sum', each: true },
  fiveYears: { by: 'sum', each: true },
  moneyYear: { by: 'sum', each: true },
  kwhYear: { by: 'sum', each: true },
  idleW: { by: 'sum', each: true },
  workingW: { by: 'sum', each: true },
  peakW: { by: 'sum', each: true },
  earDb: { by: 'level', each: false },
  hottestC: { by: 'most', each: false },
  readMBps: { by: 'most', each: false },
  writeMBps: { by: 'most', each: false },
  rebuildH: { by: 'most', each: false },
  room: { by: 'sum', each: false },
  rackUnits: { by: 'sum', each: true },
  volumeL: { by: 'sum', each: true },
  massKg: { by: 'sum', each: true },
};
const WORDS = { sum: 'together', most: 'the most of them', least: 'the least of them', level: 'as energy' } as const;

/**
 * Several machines as one: W, money and room add up, noise adds as energy where all stand at the same place, of pools
 * the weakest counts and of rates the fastest. What one of them does not tell is open for all where it would add.
 */
export function joined(all: readonly Values[], unit: string, ledger: Ledger): Values {
  const told = (by: ComparedBy): readonly Value[] => all.flatMap((one) => one[by] ?? []);
  const join = (by: keyof typeof JOINS): Value | null => {
    const { by: how, each } = JOINS[by];
    const own = told(by).map(({ quantity }) => quantity);
    const [first] = own;
    if (!first || (each && own.length < all.length)) return null;
    return { quantity: own.length === 1 ? first : joinedBy(how, own, ledger) };
  };
  const values = Object.fromEntries(
    (Object.keys(JOINS) as (keyof typeof JOINS)[]).map((by) => [by, join(by)]),
  ) as Record<keyof typeof JOINS, Value | null>;
  const verdicts = told('verdict');
  const { priceNow, usableTb } = values;
  return {
    ...values,
    verdict:
      verdicts.length > 0
        ? {
            quantity: ledger.sum(
              'Verdicts',
              '',
              verdicts.map(({ quantity }) => quantity),
            ),
            words: verdicts.map(({ words }) => words ?? '').join(' · '),
          }
        : null,
    perTb:
      priceNow && usableTb && usableTb.quantity.value > 0
        ? {
            quantity: ledger.map(
              'A usable TB',
              unit,
              [priceNow.quantity, usableTb.quantity],
              'price / TB',
              (price, tb) => price / tb,
            ),
          }
        : null,
  };
}

function joinedBy(how: Joins['by'], all: readonly Quantity[], ledger: Ledger): Quantity {
  const unit = all[0]?.unit ?? '';
  switch (how) {
    case 'sum':
      return ledger.sum('Together', unit, all);
    case 'level':
      return ledger.map('Together', unit, all, WORDS.level, (...levels) => sumLevels(levels));
    case 'most':
      return ledger.map('Together', unit, all, WORDS.most, (...values) => Math.max(...values));
    case 'least':
      return ledger.map('Together', unit, all, WORDS.least, (...values) => Math.min(...values));
  }
}
