import { minorPerMajor, type Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { countWords, wholeMoneyWords } from '../../words/format';
import type { SizeRowTold } from '../../worker/messages';
import { useSearched } from '../../worker/useSearched';
import { hoursWords, wayName } from './poolWords';

/** Few large drives against many small ones, for the room that is wished. */
export function SizesPane({ build }: { readonly build: Build }) {
  const told = useSearched((searcher) => searcher.sizes());
  const dispatch = useAppDispatch();
  if (!told) return <p className="text-[13px] text-mid">Trying every size …</p>;
  if (told === 'late') return <p className="text-[13px] text-mid">This could not be worked out in time.</p>;
  if (told.rows.length === 0)
    return <p className="text-[13px] text-mid">Say in the brief how many TB are wanted, or put drives in.</p>;
  const take = (row: SizeRowTold) => void dispatch(edit(row.edits, row.title));
  const blocks = ({ costs }: SizeRowTold) => costs.some(({ severity }) => severity === 'blocker');
  const [fit, others] = [told.rows.filter((one) => !blocks(one)), told.rows.filter(blocks)];
  const money = (value: number) => wholeMoneyWords(value * minorPerMajor(build.currency), build.currency);
  return (
    <div className="text-[12.5px]">
      <p className="text-mid">
        {told.failures > 0 ? `Any ${told.failures} of a set may fail. ` : ''}Prices, watts and noise are of the whole
        machine.
      </p>
      {fit.length > 0 && <SizesTable rows={fit} money={money} kneeTb={told.kneeTb} onTake={take} />}
      <p className="text-mid">
        Five years: the price and the electricity of the profile, without drives that fail. Where the mark stands,
        larger drives stop paying.
      </p>
      {others.length > 0 && (
        <details className="no-print" open={fit.length === 0}>
          <summary className="min-h-6 cursor-pointer text-mid">
            {countWords(others.length, 'other size')} would block this machine
          </summary>
          <SizesTable rows={others} money={money} kneeTb={told.kneeTb} onTake={take} />
        </details>
      )}
    </div>
  );
}

type TableProps = {
  readonly rows: readonly SizeRowTold[];
  readonly money: (value: number) => string;
  readonly kneeTb: number | null;
  readonly onTake: (row: SizeRowTold) => void;
};
const WIDE = 'max-[560px]:hidden';
const COLUMNS = [
  ['Drives', ''],
  ['price', ''],
  ['5 years', ''],
  ['idle W', WIDE],
  ['dB(A)', WIDE],
  ['start A', WIDE],
  ['rebuild', WIDE],
] as const;
function SizesTable({ rows, money, kneeTb, onTake }: TableProps) {
  return (
    <table className="w-full border-collapse">
      <thead className="text-mid">
        <tr>
          {COLUMNS.map(([words, narrow], i) => (
            <th
              key={words}
              className={`py-1 pl-2 font-normal first:pl-0 ${i === 0 ? 'text-left' : 'text-right'} ${narrow}`}
            >
              {words}
            </th>
          ))}
          <th>
            <span className="sr-only">Take it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <SizeLine key={row.title} row={row} money={money} isKnee={row.tb === kneeTb} onTake={onTake} />
        ))}
      </tbody>
    </table>
  );
}

function SizeLine({
  row,
  money,
  isKnee,
  onTake,
}: {
  readonly row: SizeRowTold;
  readonly money: (value: number) => string;
  readonly isKnee: boolean;
  readonly onTake: (row: SizeRowTold) => void;
}) {
  const { figures } = row;
  const whole = (id: 'power.idleWallW' | 'sound.earIdleDb' | 'power.start12A') => {
    const figure = figures[id];
    return figure ? Math.round(figure.value) : 'none';
  };
  const blocks = row.costs.filter(({ severity }) => severity === 'blocker');
  return (
    <tr className={`border-t border-dotted border-line align-top ${isKnee ? 'bg-(--wash)' : ''}`} data-size={row.tb}>
      <th className={`py-1 text-left ${row.isNow ? 'font-semibold' : 'font-normal'}`}>
        {row.count} × {row.name}
        <span className="block text-mid">{wayName({ layout: row.layout, widths: row.widths, over: 0 })}</span>
        {isKnee && <span className="block">least over five years</span>}
        {blocks.length > 0 && (
          <span className="bad block">{[...new Set(blocks.map(({ title }) => title))].join(', ')}</span>
        )}
      </th>
      <td className="mono py-1 pl-2 text-right whitespace-nowrap">{money(figures['cost.now']?.value ?? 0)}</td>
      <td className="mono py-1 pl-2 text-right whitespace-nowrap">
        {row.fiveYears === null ? 'not known' : money(row.fiveYears)}
      </td>
      <td className={`mono py-1 pl-2 text-right ${WIDE}`}>{whole('power.idleWallW')}</td>
      <td className={`mono py-1 pl-2 text-right ${WIDE}`}>{whole('sound.earIdleDb')}</td>
      <td className={`mono py-1 pl-2 text-right ${WIDE}`}>{whole('power.start12A')}</td>
      <td className={`mono py-1 pl-2 text-right whitespace-nowrap ${WIDE}`}>{hoursWords(row.rebuildH)}</td>
      <td className="py-0.5 pl-2 text-right">
        {row.isNow ? (
          <span className="text-mid">in place</span>
        ) : (
          <button type="button" className="press no-print" aria-label={`Take ${row.title}`} onClick={() => onTake(row)}>
            Take
          </button>
        )}
      </td>
    </tr>
  );
}
