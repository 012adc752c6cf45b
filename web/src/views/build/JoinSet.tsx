import { joinings, LAYOUTS, type Joining } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { selectUnits } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { countWords } from '../../words/format';

/** Where sets are kept and the last edit brought data drives that are in none: the sets they may go to. */
export function JoinSet({ added }: { readonly added: readonly string[] }) {
  const units = useAppSelector(selectUnits);
  const build = useAppSelector((state) => state.bench.build);
  const dispatch = useAppDispatch();
  const ways =
    build && added.length > 0 ? joinings(units, build.pool.sets, new Set(added), build.brief.failuresSurvived) : [];
  if (!build || ways.length === 0) return null;
  const what = countWords(added.length, 'drive');
  const take = (way: Joining | undefined) => {
    if (way)
      void dispatch(
        edit(
          [{ type: 'set.pool', value: { ...build.pool, sets: [...way.sets] } }],
          way.into ? `${what} put into ${way.into.id}` : `${what} in a set of their own`,
        ),
      );
  };
  return (
    <select
      className="field min-h-6 text-[13px]"
      aria-label={`Put ${what} into a set`}
      value=""
      onChange={(event) => take(ways[Number(event.target.value)])}
    >
      <option value="">{`Put ${what} into a set …`}</option>
      {ways.map((way, i) => (
        <option key={i} value={i}>
          {joinWords(way, added.length)}
        </option>
      ))}
    </select>
  );
}

function joinWords({ into, sets, moreTb, isWide }: Joining, more: number): string {
  const room = `${moreTb < 0 ? '−' : '+'}${Number(Math.abs(moreTb).toFixed(1))} TB`;
  const last = sets.at(-1);
  if (!into) return `of their own${last ? `, ${LAYOUTS[last.layout].words}` : ''}: ${room}`;
  const then = `${into.units.length + more} drives then${isWide ? ', wide' : ''}`;
  return `${into.id}, ${LAYOUTS[into.layout].words}, ${then}: ${room}`;
}
