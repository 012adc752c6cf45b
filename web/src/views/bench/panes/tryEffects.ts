import type { GoingRow } from '../../../worker/messages';
import { figureNumber } from '../../../words/format';

/** What putting a part would do to the machine's snags, in words with their tone; the worst first. */
export type TryEffect = {
  readonly severity: 'blocker' | 'caution' | 'note';
  readonly tone: string;
  readonly words: string;
};

const WEIGHT = { blocker: 2, caution: 1, note: 0 } as const;
const SEVERITY = { blocker: 'Blocker', caution: 'Caution', note: 'Note' } as const;

/** Less than so much faster or slower than before is not said. */
const FELT = 0.1;
const RATES = [
  ['flow.readMBps', 'Files read'],
  ['flow.writeMBps', 'Files written'],
] as const;

/** How fast files go with it where they went before: what a network card or controller is tried for. */
const rateEffects = ({ figures, delta }: GoingRow): TryEffect[] =>
  RATES.flatMap(([id, what]): TryEffect[] => {
    const [is, change = 0] = [figures[id], delta[id]];
    const was = (is?.value ?? 0) - change;
    if (!is || was <= 0 || Math.abs(change) < was * FELT) return [];
    return [
      {
        severity: 'note',
        tone: change > 0 ? 'good' : 'warn',
        words: `${what}: ${figureNumber(id, is.value)} MB/s instead of ${figureNumber(id, was)}`,
      },
    ];
  });

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
    ...rateEffects(row),
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
