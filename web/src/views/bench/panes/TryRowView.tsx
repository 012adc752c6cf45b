import type { FigureId, Part } from '@inch-tower/core';
import type { GoingRow } from '../../../worker/messages';
import { changeWords, currencySign } from '../../../words/format';
import { factLine } from '../../../words/factLine';

const COLUMNS: readonly (readonly [FigureId, string])[] = [
  ['power.idleWallW', 'W'],
  ['sound.earIdleDb', 'dB'],
  ['cost.now', ''],
  ['ports.free', 'ports'],
];
/** The worst is said first: only the first few effects are shown. */
const WEIGHT = { blocker: 2, caution: 1, note: 0 } as const;
type Props = {
  readonly row: GoingRow;
  readonly part: Part;
  readonly count: number;
  readonly onShow: () => void;
  readonly onPut: () => void;
};

/** Name and what it does above, aligned changes below. Enter or a click puts it. */
export function TryRowView({ row, part, count, onShow, onPut }: Props) {
  const currency = row.figures['cost.now']?.unit ?? 'EUR';
  const effects = [
    ...row.causes.map((effect) => ({
      ...effect,
      tone: effect.severity === 'blocker' ? 'bad' : 'warn',
      words:
        `${effect.severity === 'blocker' ? 'Blocker' : effect.severity === 'caution' ? 'Caution' : 'Note'}: ` +
        `${effect.what}`,
    })),
    ...row.worsens.map((effect) => ({
      ...effect,
      tone: effect.severity === 'blocker' ? 'bad' : 'warn',
      words: `Worsens: ${effect.title.toLowerCase()}`,
    })),
    ...row.cures.map((effect) => ({ ...effect, tone: 'good', words: `Fixes: ${effect.title.toLowerCase()}` })),
    ...row.eases.map((effect) => ({ ...effect, tone: 'good', words: `Eases: ${effect.title.toLowerCase()}` })),
  ].sort((a, b) => WEIGHT[b.severity] - WEIGHT[a.severity]);
  return (
    <li className="border-b border-line">
      <button
        type="button"
        data-try={row.sheet}
        onFocus={onShow}
        onMouseEnter={onShow}
        onClick={onPut}
        className="plain block w-full px-3 py-2 text-left hover:bg-wash focus:bg-wash"
      >
        <span className="flex items-baseline justify-between gap-2">
          <span className="font-medium">
            {count > 1 ? `${count} × ` : ''}
            {part.name}
          </span>
          <span className="shrink-0 text-[12px] text-mid">{part.maker}</span>
        </span>
        <span className="block text-[12.5px] text-mid">{factLine(part)}</span>
        <span className="mono mt-0.5 grid grid-cols-4 text-[11.5px] text-mid">
          {COLUMNS.map(([id, unit]) => {
            const change = changeWords(id, row.delta[id] ?? 0);
            return (
              <span key={id} className="whitespace-nowrap">
                {change ? `${change} ${id === 'cost.now' ? currencySign(currency) : unit}` : '·'}
              </span>
            );
          })}
        </span>
        {effects.slice(0, 3).map((effect) => (
          <span key={effect.words} className={`mt-0.5 block text-[12.5px] leading-snug ${effect.tone}`}>
            {effect.words}
          </span>
        ))}
      </button>
    </li>
  );
}
