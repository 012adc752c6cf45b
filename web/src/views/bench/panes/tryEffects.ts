import type { GoingRow } from '../../../worker/messages';

/** What putting a part would do to the machine's snags, in words with their tone; the worst first. */
export type TryEffect = {
  readonly severity: 'blocker' | 'caution' | 'note';
  readonly tone: string;
  readonly words: string;
};

const WEIGHT = { blocker: 2, caution: 1, note: 0 } as const;
const SEVERITY = { blocker: 'Blocker', caution: 'Caution', note: 'Note' } as const;

export function effectsOf(row: GoingRow, deadEnd: string | undefined): TryEffect[] {
  const bad = (severity: TryEffect['severity']) => (severity === 'blocker' ? 'bad' : 'warn');
  return [
    ...row.causes.map(({ severity, what }) => ({
      severity,
      tone: bad(severity),
      words: `${SEVERITY[severity]}: ${what}`,
    })),
    ...(deadEnd ? [{ severity: 'caution' as const, tone: 'warn', words: deadEnd }] : []),
    ...row.worsens.map(({ severity, title }) => ({
      severity,
      tone: bad(severity),
      words: `Worsens: ${title.toLowerCase()}`,
    })),
    ...row.cures.map(({ severity, title }) => ({ severity, tone: 'good', words: `Fixes: ${title.toLowerCase()}` })),
    ...row.eases.map(({ severity, title }) => ({ severity, tone: 'good', words: `Eases: ${title.toLowerCase()}` })),
  ].sort((a, b) => WEIGHT[b.severity] - WEIGHT[a.severity]);
}

/** From so many rows on, what all of them say is said once over the list. */
const MANY = 4;

/** Words of effects that every row has: they tell no row from another. */
export function sharedWords(all: readonly (readonly TryEffect[])[]): ReadonlySet<string> {
  const [first] = all;
  if (!first || all.length < MANY) return new Set();
  return new Set(
    first
      .map(({ words }) => words)
      .filter((words) => all.every((effects) => effects.some((one) => one.words === words))),
  );
}
