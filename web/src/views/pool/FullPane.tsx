import type { Build } from '@inch-tower/core';
import { Link } from 'react-router';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { useSearched } from '../../worker/useSearched';
import { growthWords, metWords, nextDrivesWords, wornWords } from './fullWords';
import type { PoolView } from './usePool';

/** When the pool is full, what is bought then, and whether flash lives that long. */
export function FullPane({ pool, build }: { readonly pool: PoolView; readonly build: Build }) {
  const dispatch = useAppDispatch();
  const found = useSearched((searcher) => searcher.growth());
  const growth = found === 'late' ? null : found;
  const next = growth?.next;
  const told = next && nextDrivesWords(next, build.currency);
  const far = growth && growthWords(growth);
  return (
    <div className="text-[13px]">
      {pool.monthsUntilFull === null && (
        <p>
          <Link className="underline" to={`/b/${build.id}/brief?ask=growthTbPerMonth`}>
            Say in the brief
          </Link>{' '}
          how much data there is and how much comes to it in a month.
        </p>
      )}
      {found === 'late' && <p className="text-mid">What comes next could not be worked out in time.</p>}
      {next && told && (
        <div className="my-1 flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <p className="min-w-0 flex-1">
            Next to buy: {told.words}
            {told.troubles && <span className="bad block">{told.troubles}</span>}
          </p>
          <button
            type="button"
            className="press no-print"
            onClick={() => void dispatch(edit(next.edits, `Add ${next.title}`))}
          >
            Add {next.title}
          </button>
        </div>
      )}
      {growth && growth.met.length > 0 && (
        <>
          <h3 className="mt-2 font-semibold">Passed on the way</h3>
          <ul>
            {metWords(growth, new Date()).map((words) => (
              <li key={words} className="border-t border-dotted border-line py-0.5">
                {words}
              </li>
            ))}
          </ul>
        </>
      )}
      {far && <p className="mt-1">{far}</p>}
      {pool.worn.map((one) => (
        <p key={`${one.name}${one.tbPerYear}`}>{wornWords(one)}</p>
      ))}
      <p className="text-[12.5px] text-mid">
        Full means four fifths of what is usable. Flash wears by what comes in alone: what is written over comes on top.
      </p>
    </div>
  );
}
