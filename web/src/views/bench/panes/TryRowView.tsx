import { memo } from 'react';
import type { FigureId, Part } from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';
import { changeWords, currencySign } from '../../../words/format';
import { factLine } from '../../../words/factLine';
import type { TryEffect } from './tryEffects';

const COLUMNS: readonly (readonly [id: FigureId, head: string, title: string])[] = [
  ['power.idleWallW', 'W', 'idle at the wall'],
  ['sound.earIdleDb', 'dB(A)', 'noise at the ear'],
  ['cost.now', '', 'price'],
];
const GRID = 'grid grid-cols-[minmax(0,1fr)_38px_42px_58px] gap-x-1.5 px-3';
const FIRST_BLOCKED = 'border-b border-t-2 border-dotted border-t-bad';
const BESIDE =
  'beside plain absolute right-3 bottom-0 inline-flex min-h-6 items-end pb-1 text-[11.5px] underline decoration-dotted';
/** Only the first few effects are shown. */
const SHOWN = 2;

/** Heads of the columns of changes, over all rows. */
export function TryHead({ currency }: { readonly currency: string }) {
  return (
    <div className={`${GRID} sticky top-0 z-10 border-b border-ink bg-paper py-0.5 text-[11.5px] text-mid`}>
      <span>Part, and what it changes</span>
      {COLUMNS.map(([id, head, title]) => (
        <span key={id} className="text-right" title={title}>
          {head || currencySign(currency)}
        </span>
      ))}
    </div>
  );
}

type Props = {
  readonly row: GoingRow;
  readonly part: Part;
  readonly count: number;
  /** It stands first of those that bring a blocker. */ readonly isFirstBlocked: boolean;
  /** What it would do to snags. */ readonly effects: readonly TryEffect[];
  /** Of that, what all rows say. */ readonly shared: ReadonlySet<string>;
  readonly isBeside: boolean;
  /** The same from one drawing to the next, so that a row is drawn again only when something in it changes. */
  readonly acts: TryActs;
};
export type TryActs = {
  readonly show: (row: GoingRow) => void;
  readonly put: (row: GoingRow) => void;
  readonly beside: (row: GoingRow) => void;
};

/**
 * Name and changes in columns; facts, then the gravest effects in the line below, all of them while it holds the focus.
 * Enter or a click puts it.
 */
export const TryRowView = memo(function TryRowView({
  row,
  part,
  count,
  isFirstBlocked,
  effects: all,
  shared,
  isBeside,
  acts,
}: Props) {
  const effects = all.filter(({ words }) => !shared.has(words));
  const ports = changeWords('ports.free', row.delta['ports.free'] ?? 0);
  const facts = [factLine(part), ports && `${ports} free ports`].filter(Boolean).join(' · ');
  return (
    <li className={`try-row relative border-line ${isFirstBlocked ? FIRST_BLOCKED : 'border-b border-dotted'}`}>
      <button
        type="button"
        data-try={row.sheet}
        onFocus={() => acts.show(row)}
        onMouseEnter={() => acts.show(row)}
        onClick={() => acts.put(row)}
        className={`plain group ${GRID} w-full py-0.5 text-left leading-tight hover:bg-wash focus:bg-wash`}
      >
        <span className="text-[13px] font-medium break-words">
          {count > 1 ? `${count} × ` : ''}
          {part.name}
        </span>
        {COLUMNS.map(([id, , title]) => (
          <span
            key={id}
            className="mono self-baseline text-right text-[11.5px] whitespace-nowrap text-mid"
            title={title}
          >
            {changeWords(id, row.delta[id] ?? 0) || '·'}
          </span>
        ))}
        <span
          className="facts col-span-4 truncate text-[12px] text-mid group-focus:whitespace-normal"
          title={[facts, ...all.map(({ words }) => words)].join(' · ')}
        >
          {facts}
          {effects.slice(0, SHOWN).map((effect) => (
            <span key={effect.words}>
              {' · '}
              <span className={effect.tone}>{effect.words}</span>
            </span>
          ))}
        </span>
      </button>
      <button
        type="button"
        className={BESIDE}
        aria-pressed={isBeside}
        aria-label={`Set ${part.name} beside another`}
        onClick={() => acts.beside(row)}
      >
        {isBeside ? 'set aside' : 'set beside'}
      </button>
    </li>
  );
});
