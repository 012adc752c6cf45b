import type { FactField } from '../parts/fieldWords';
import { memberAt } from '../lists';
import { factOf, type Fact, type Part } from '../parts/resolve';
import type { Basis } from '../parts/sheet';

/** What each fact does to a value when the fact stands at its low and at its high end. */
type Spread = ReadonlyMap<string, readonly [atLo: number, atHi: number]>;
export type Op = 'sum' | 'times' | 'map' | 'choice' | 'given';

/** One line of a working: a number and what it is made of, down to facts of part sheets. */
export type Working = {
  readonly label: string;
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  readonly unit: string;
  readonly op: Op;
  readonly times?: number;
  readonly formula?: string;
  readonly of: readonly (Working | Fact)[];
  readonly basis: Basis;
};
export type Quantity = {
  readonly value: number;
  readonly unit: string;
  readonly spread: Spread;
  readonly basis: Basis;
  readonly working?: Working | Fact;
  /** What a reader is told beside the number. */
  readonly note?: string;
};

const LIKELY = (fact: Pick<Fact, 'value'>): number => fact.value;
const NO_SPREAD: Spread = new Map();
const WEAKEST: Record<Basis, number> = { measured: 0, stated: 1, typical: 2 };
const weaker = (quantities: readonly Quantity[]): Basis =>
  quantities.reduce<Basis>((worst, one) => (WEAKEST[one.basis] > WEAKEST[worst] ? one.basis : worst), 'measured');

/**
 * Low and high: facts are independent errors and combine in quadrature; the same fact met several
 * times has been added up before, so equal parts move together (GUM, JCGM 100, section 5).
 */
export function rangeOfQuantity({ value, spread }: Pick<Quantity, 'value' | 'spread'>): { lo: number; hi: number } {
  let down = 0;
  let up = 0;
  for (const [atLo, atHi] of spread.values()) {
    down += Math.min(atLo, atHi, 0) ** 2;
    up += Math.max(atLo, atHi, 0) ** 2;
  }
  return { lo: value - Math.sqrt(down), hi: value + Math.sqrt(up) };
}

/** A number with its low and high end. */
export type Ranged = { readonly value: number; readonly lo: number; readonly hi: number };
export const rangedOf = (quantity: Pick<Quantity, 'value' | 'spread'>): Ranged => ({
  value: quantity.value,
  ...rangeOfQuantity(quantity),
});

/**
 * Computes with quantities. One computation serves both `assess`, where `recording` is off and no
 * working is kept, and `explain`, where it is on.
 */
export class Ledger {
  /** `draw` replaces a fact's value, for sampling what its range does to a result. */
  constructor(
    readonly recording: boolean,
    private readonly draw: (fact: Pick<Fact, 'id' | 'value' | 'lo' | 'hi'>) => number = LIKELY,
  ) {}

  /** Neither writing a working nor sampling: what it computes depends on its inputs alone and may be kept. */
  get plain(): boolean {
    return !this.recording && this.draw === LIKELY;
  }

  fact(part: Part, field: FactField, value?: number, path?: FactField): Quantity {
    return this.ofFact(factOf(part, field, value, path));
  }

  ofFact(fact: Fact): Quantity {
    const value = this.draw(fact);
    const exact = fact.lo === fact.value && fact.hi === fact.value;
    return {
      value,
      unit: fact.unit,
      basis: fact.basis,
      spread: exact ? NO_SPREAD : new Map([[fact.id, [fact.lo - fact.value, fact.hi - fact.value]]]),
      ...(this.recording ? { working: fact } : {}),
    };
  }

  /** A number of the model or the site; `lo` and `hi` where it is known only within a range. */
  given(label: string, value: number, unit: string, range?: { readonly lo: number; readonly hi: number }): Quantity {
    const { lo, hi } = range ?? { lo: value, hi: value };
    const id = `given.${label}`;
    const drawn = this.draw({ id, value, lo, hi });
    const basis: Basis = range ? 'typical' : 'stated';
    return {
      value: drawn,
      unit,
      basis,
      spread: lo === hi ? NO_SPREAD : new Map([[id, [lo - value, hi - value]]]),
      ...(this.recording ? { working: { label, value: drawn, lo, hi, unit, op: 'given', of: [], basis } } : {}),
    };
  }

  times(label: string, quantity: Quantity, times: number, formula?: string): Quantity {
    const spread = new Map<string, readonly [number, number]>();
    for (const [id, [lo, hi]] of quantity.spread) spread.set(id, [lo * times, hi * times]);
    return this.note(
      { value: quantity.value * times, unit: quantity.unit, spread, basis: quantity.basis },
      label,
      'times',
      [quantity],
      formula,
      times,
    );
  }

  sum(label: string, unit: string, terms: readonly Quantity[], formula?: string): Quantity {
    const spread = new Map<string, readonly [number, number]>();
    let value = 0;
    for (const term of terms) {
      value += term.value;
      for (const [id, [lo, hi]] of term.spread) {
        const had = spread.get(id);
        spread.set(id, had ? [had[0] + lo, had[1] + hi] : [lo, hi]);
      }
    }
    return this.note({ value, unit, spread, basis: weaker(terms) }, label, 'sum', terms, formula);
  }

  /** Any function of quantities: each fact's effect is found by moving every input it touches at once. */
  map(
    label: string,
    unit: string,
    inputs: readonly Quantity[],
    formula: string,
    f: (...values: number[]) => number,
  ): Quantity {
    if (inputs.length === 1) return this.mapOne(label, unit, memberAt(inputs, 0), formula, f);
    const values = inputs.map((input) => input.value);
    const value = f(...values);
    const spread = new Map<string, readonly [number, number]>();
    for (const id of new Set(inputs.flatMap((input) => [...input.spread.keys()]))) {
      const moved = (end: 0 | 1) =>
        f(...inputs.map((input) => input.value + (input.spread.get(id)?.[end] ?? 0))) - value;
      spread.set(id, [moved(0), moved(1)]);
    }
    return this.note({ value, unit, spread, basis: weaker(inputs) }, label, 'map', inputs, formula);
  }

  private mapOne(
    label: string,
    unit: string,
    input: Quantity,
    formula: string,
    f: (value: number) => number,
  ): Quantity {
    const value = f(input.value);
    const spread = new Map<string, readonly [number, number]>();
    for (const [id, [lo, hi]] of input.spread)
      spread.set(id, [f(input.value + lo) - value, f(input.value + hi) - value]);
    return this.note({ value, unit, spread, basis: input.basis }, label, 'map', [input], formula);
  }

  /**
   * A factor that errs one way for all of its input at once: low on low, likely on likely, high on
   * high. The input's own facts keep their share of the widened range.
   */
  systematic(
    label: string,
    unit: string,
    input: Quantity,
    formula: string,
    f: {
      readonly low: (x: number) => number;
      readonly likely: (x: number) => number;
      readonly high: (x: number) => number;
    },
    factor: { readonly id: string; readonly draw?: (x: number, at: number) => number },
  ): Quantity {
    const { lo, hi } = rangeOfQuantity(input);
    const at = this.draw({ id: factor.id, value: 0, lo: -1, hi: 1 });
    const likely = f.likely(input.value);
    const value =
      at === 0
        ? likely
        : factor.draw
          ? factor.draw(input.value, at)
          : at < 0
            ? likely + at * (likely - f.low(input.value))
            : likely + at * (f.high(input.value) - likely);
    const down = likely - f.low(lo);
    const up = f.high(hi) - likely;
    // What errs to one side only widens that side; the factor itself stands in on a side on which no fact errs.
    const [errsDown, errsUp] = [input.value > lo, hi > input.value];
    const widened = (effect: number): number => {
      if (effect < 0) return errsDown ? effect * (down / (input.value - lo)) : 0;
      return errsUp ? effect * (up / (hi - input.value)) : 0;
    };
    const spread = new Map<string, readonly [number, number]>();
    for (const [id, [low, high]] of input.spread) spread.set(id, [widened(low), widened(high)]);
    const own = [errsDown ? 0 : -down, errsUp ? 0 : up] as const;
    if (own.some((one) => one !== 0)) spread.set(factor.id, own);
    return this.note({ value, unit, spread, basis: input.basis }, label, 'map', [input], formula);
  }

  /** What readings leave of a quantity: moved by `shift`, its spread `times` as wide, `more` for what stays open. */
  moved(quantity: Quantity, shift: number, times: number, more: number): Quantity {
    const spread = new Map<string, readonly [number, number]>();
    for (const [id, [lo, hi]] of quantity.spread) spread.set(id, [lo * times, hi * times]);
    if (more > 0) spread.set('given.As read', [-more, more]);
    return this.note(
      { ...quantity, value: quantity.value + shift, spread },
      'As readings of this machine leave it',
      'map',
      [quantity],
      `${shift < 0 ? '−' : '+'} ${Math.abs(shift).toFixed(1)} ${quantity.unit} by what was read`,
    );
  }

  private note(
    quantity: Quantity,
    label: string,
    op: Op,
    of: readonly Quantity[],
    formula?: string,
    times?: number,
  ): Quantity {
    if (!this.recording) return quantity;
    const range = rangeOfQuantity(quantity);
    return {
      ...quantity,
      working: {
        label,
        value: quantity.value,
        ...range,
        unit: quantity.unit,
        op,
        basis: quantity.basis,
        of: of.flatMap((one) => (one.working ? [one.working] : [])),
        ...(formula ? { formula } : {}),
        ...(times === undefined ? {} : { times }),
      },
    };
  }
}

export const isFact = (line: Working | Fact): line is Fact => 'field' in line;
