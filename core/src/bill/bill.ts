import { memberAt } from '../lists';
import type { Assessment } from '../assess';
import type { Build } from '../build/build';
import { itemCost, cableCost, moneyLines, smallCost } from '../figures/cost/money';
import { minorPerMajor } from '../parts/currency';
import { Ledger } from '../figures/quantity';

/**
 * One line of the bill. `each` and `total` are in major units of the currency; null where a price is not known or is of
 * another currency.
 */
export type BillLine = {
  readonly mark: string;
  readonly what: string;
  readonly maker: string;
  readonly kind: string;
  readonly count: number;
  readonly deal: 'buy' | 'owned' | 'here';
  readonly each: number | null;
  readonly total: number | null;
  readonly basis: string;
  readonly note: string;
};
export type Bill = {
  readonly currency: string;
  readonly lines: readonly BillLine[];
  /** Sum of what is bought now: the money shown on its tape. */ readonly total: number;
};

/**
 * Every item of the stage, every cable the wiring needs and every small part in no box, with what this stage buys of it
 * for all copies of the machine.
 */
export function billOf(build: Build, assessment: Pick<Assessment, 'units' | 'needs' | 'small'>): Bill {
  const ledger = new Ledger(false);
  const { currency } = build;
  const money = { currency, rates: build.rates ?? {} };
  const items = moneyLines(assessment.units).map((line): BillLine => {
    const { item, units } = line;
    const { part } = memberAt(units, 0);
    const count = item.count ?? units.length;
    const cost = itemCost(line, money, ledger);
    const marks = units.map((unit) => unit.mark);
    const foreign = item.deal === 'buy' && item.price && item.price.currency !== currency ? item.price : null;
    return {
      mark: marks.length > 1 ? `${marks[0]}–${marks.at(-1)}` : (marks[0] ?? ''),
      what: part.name,
      maker: part.maker ?? '',
      kind: part.kind,
      count,
      deal: item.deal,
      each: item.deal === 'owned' ? 0 : cost && cost.value / count,
      total: item.deal === 'owned' ? 0 : cost ? cost.value : null,
      basis: item.deal === 'owned' ? 'owned' : item.price ? 'listed' : cost ? 'typical' : 'no price',
      note: foreign
        ? `${foreign.currency} ${foreign.minor / minorPerMajor(foreign.currency)} each` +
          (cost ? '' : ', not in the sum')
        : '',
    };
  });
  const cables = assessment.needs.needs.flatMap((need): BillLine[] => {
    const own = {
      mark: '',
      what: need.cable.name,
      maker: '',
      kind: 'cable',
      basis: 'typical',
      note: 'the wiring needs it',
    } as const;
    const here = need.fromBoxes;
    const cost = need.toBuy > 0 ? cableCost(need, money, ledger) : null;
    return [
      ...(here > 0 ? [{ ...own, count: here, deal: 'here' as const, each: 0, total: 0, basis: 'in a box' }] : []),
      ...(need.toBuy > 0
        ? [
            {
              ...own,
              count: need.toBuy,
              deal: 'buy' as const,
              each: cost && cost.value / need.toBuy,
              total: cost ? cost.value : null,
            },
          ]
        : []),
    ];
  });
  const small = assessment.small
    .filter(({ toBuy }) => toBuy > 0)
    .map((need): BillLine => {
      const cost = smallCost(need, money, ledger);
      return {
        mark: '',
        what: need.what,
        maker: '',
        kind: 'sundry',
        count: need.toBuy,
        deal: 'buy',
        each: cost && cost.value / need.toBuy,
        total: cost ? cost.value : null,
        basis: 'typical',
        note: need.why,
      };
    });
  const lines = [...items, ...cables, ...small].map((line) => ({
    ...line,
    count: line.count * build.copies,
    total: line.total && line.total * build.copies,
  }));
  return { currency, lines, total: lines.reduce((sum, line) => sum + (line.total ?? 0), 0) };
}
