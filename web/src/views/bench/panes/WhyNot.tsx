import { useState } from 'react';
import { parseSpot } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch } from '../../../state/store';
import type { Searched } from '../../../worker/client';
import type { RefusedRow, WaysOut } from '../../../worker/messages';
import { useBench } from '../hooks/benchContext';
import { useSearch } from '../../../worker/useSearch';
import { Conflict, WayRow } from './WayRow';

/** For a part that does not go: the smallest changes that would let it in, asked for one at a time. */
export default function WhyNot({ row }: { readonly row: RefusedRow }) {
  const ui = useBench();
  const dispatch = useAppDispatch();
  const search = useSearch();
  const [known, setKnown] = useState<Searched<WaysOut> | 'asking'>(null);
  const spot = parseSpot(ui.selected ?? '');
  if (!spot) return null;
  const ask = () => {
    setKnown('asking');
    void search((searcher) => searcher.whyNot(spot, row.sheet)).then((ways) => setKnown(ways));
  };
  if (known === null || known === 'late')
    return (
      <button
        type="button"
        data-why-not={row.sheet}
        className="plain min-h-6 underline decoration-dotted"
        onClick={ask}
      >
        {known === 'late' ? 'This could not be worked out in time. Look again' : 'What would let it in'}
      </button>
    );
  if (known === 'asking') return <span className="block text-mid">Looking …</span>;
  return (
    <div className="mt-1" data-ways>
      {known.rows.length === 0 && (
        <p>{known.conflict.length > 0 ? 'No one change does.' : 'No one change of this machine would.'}</p>
      )}
      {known.conflict.length > 0 && <Conflict lines={known.conflict} />}
      <ul className="flex flex-col gap-1">
        {known.rows.map((way) => (
          <WayRow
            key={way.title}
            row={way}
            onTake={(edits) =>
              dispatch(edit(edits, `${row.name}: ${way.title.charAt(0).toLowerCase()}${way.title.slice(1)}`))
            }
          />
        ))}
      </ul>
    </div>
  );
}
