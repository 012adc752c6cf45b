import type { Highs } from 'highs';

/** One term of a sum: a variable's number and its factor. */
export type Term = readonly [variable: number, factor: number];
export type Sum = { readonly terms: readonly Term[]; readonly constant: number };

type Row = { readonly terms: readonly Term[]; readonly sense: '<=' | '>=' | '='; readonly right: number };

/** A linear program with whole-number variables, written out in the LP format for a general solver. */
export class Program {
  private count = 0;
  private readonly binaries: number[] = [];
  private readonly rows: Row[] = [];

  /** A new yes or no. */
  yes(): number {
    this.binaries.push(this.count);
    return this.count++;
  }
  /** A new number from zero up. */
  amount(): number {
    return this.count++;
  }

  atMost(terms: readonly Term[], right: number): void {
    this.row(terms, '<=', right);
  }
  atLeast(terms: readonly Term[], right: number): void {
    this.row(terms, '>=', right);
  }
  equal(terms: readonly Term[], right: number): void {
    this.row(terms, '=', right);
  }

  private row(terms: readonly Term[], sense: Row['sense'], right: number): void {
    const kept = gather(terms);
    if (kept.length > 0) {
      this.rows.push({ terms: kept, sense, right });
      return;
    }
    if (sense === '<=' ? 0 > right : sense === '>=' ? 0 < right : right !== 0)
      throw new Error('a row without variables that does not hold');
  }

  /** Makes a number no less than `factor` when all of these are yes; else it is free. */
  costWhen(cost: number, all: readonly number[], factor: number): void {
    this.atLeast([[cost, 1], ...all.map((one): Term => [one, -factor])], -factor * (all.length - 1));
  }

  /** Not all of these are yes. */
  notAll(all: readonly number[]): void {
    this.atMost(
      all.map((one): Term => [one, 1]),
      all.length - 1,
    );
  }

  /** The least of `goal`, with further rows that hold for this question only. */
  text(goal: readonly Term[], more: readonly { readonly sum: Sum; readonly most: number }[]): string {
    const rows = [
      ...this.rows,
      ...more.map(({ sum, most }): Row => ({
        terms: gather(sum.terms),
        sense: '<=',
        right: most - sum.constant + SLACK,
      })),
    ].filter((row) => row.terms.length > 0);
    const write = (terms: readonly Term[]) =>
      lines(gather(terms).map(([one, factor]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} x${one}`));
    return (
      `Minimize\n obj: ${write(goal) || '0 x0'}\nSubject ` +
      `To\n` +
      `${rows.map(({ terms, sense, right }, i) => ` r${i}: ${write(terms)} ${sense} ${right}`).join('\n')}` +
      `\nBinary\n${lines(this.binaries.map((one) => `x${one}`))}\nEnd\n`
    );
  }
}

/** Readers of the format cut long lines off. */
const lines = (words: readonly string[]): string =>
  Array.from({ length: Math.ceil(words.length / 20) }, (_, i) => words.slice(20 * i, 20 * i + 20).join(' ')).join(
    '\n  ',
  );

function gather(terms: readonly Term[]): Term[] {
  const sums = new Map<number, number>();
  for (const [one, factor] of terms) sums.set(one, (sums.get(one) ?? 0) + factor);
  return [...sums].filter(([, factor]) => factor !== 0);
}

/**
 * Levels are whole numbers: what is no more than this past one is that one, and rounding never shuts a way that is
 * there.
 */
const SLACK = 0.3;
/** Exact down to halves: every level is a whole number. */
const OPTIONS = { output_flag: false, mip_rel_gap: 0, mip_abs_gap: 0.4, mip_feasibility_tolerance: 1e-7 };

/**
 * The least of each level in turn, those before it kept at their least: the order of levels as a
 * general solver finds it. Null when it gave up after `seconds`; throws where nothing is allowed.
 */
export function leastInTurn(
  highs: Highs,
  program: Program,
  levels: readonly Sum[],
  seconds = Infinity,
): number[] | null {
  const end = Date.now() + seconds * 1000;
  const kept: { sum: Sum; most: number }[] = [];
  for (const sum of levels) {
    if (sum.terms.length === 0) {
      kept.push({ sum, most: sum.constant });
      continue;
    }
    const left = (end - Date.now()) / 1000;
    if (left <= 0) return null;
    const ask = (more: object) =>
      highs.solve(program.text(sum.terms, kept), {
        ...OPTIONS,
        ...(seconds < Infinity ? { time_limit: left } : {}),
        ...more,
      });
    let found = ask({});
    // Its reductions now and then lose the only way there is by rounding: asked once more without them.
    if (found.Status === 'Infeasible') found = ask({ presolve: 'off' });
    if (found.Status === 'Time limit reached') return null;
    if (found.Status !== 'Optimal') throw new Error(`the general solver says ${found.Status}`);
    kept.push({ sum, most: Math.round(found.ObjectiveValue + sum.constant) });
  }
  return kept.map(({ most }) => most);
}
