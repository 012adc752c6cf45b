import { useEffect, useState } from 'react';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import type { TaggedSnag, WaysOut } from '../../../worker/messages';
import { useOwned } from '../hooks/useOwned';
import { useSearch } from '../../../worker/useSearch';
import { Conflict, WayRow } from './WayRow';

/** What would cure a snag, each way weighed, or what would help where nothing does. */
export function Remedies({ snag, rev }: { readonly snag: TaggedSnag; readonly rev: number }) {
  const [known, setKnown] = useState<{
    readonly rev: number;
    readonly key: string;
    readonly ways: WaysOut | 'late';
  } | null>(null);
  const [tries, setTry] = useState(0);
  const dispatch = useAppDispatch();
  const build = useAppSelector((state) => state.bench.build?.id ?? '');
  const { owned, settled } = useOwned(build, true);
  const search = useSearch();
  useEffect(() => {
    if (!settled) return;
    let here = true;
    // After the paint: remedies are weighed when the figures are already on the screen.
    const later = setTimeout(
      () =>
        void search((searcher) => searcher.remedies(snag.key, owned)).then((ways) => {
          if (here && ways) setKnown({ rev, key: snag.key, ways });
        }),
      60,
    );
    return () => {
      here = false;
      clearTimeout(later);
    };
  }, [snag.key, rev, owned, settled, search, tries]);
  const ways = known?.rev === rev && known.key === snag.key ? known.ways : null;
  const again = () => {
    setKnown(null);
    setTry((one) => one + 1);
  };
  if (!ways) return <p className="mt-1 pl-[30px] text-[13px] text-mid">Checking what would help …</p>;
  if (ways === 'late')
    return (
      <p className="mt-1 pl-[30px] text-[13px] text-mid">
        What would help could not be worked out in time.{' '}
        <button type="button" className="plain min-h-6 underline decoration-dotted" onClick={again}>
          Look again
        </button>
      </p>
    );
  const { rows, conflict } = ways;
  return (
    <div className="mt-1.5 pl-[30px]">
      {conflict.length > 0 && <Conflict lines={conflict} />}
      {rows.length === 0 && snag.severity !== 'note' && (
        <p className="text-[13px] text-mid">
          Nothing in the catalogue cures this by itself. Take a part out, or choose another in its place.
        </p>
      )}
      {rows.length > 0 && (
        <p className="text-[12.5px] text-mid">{rows[0]!.cure ? 'Fixes' : 'No fix alone; what helps'}</p>
      )}
      <ul className="mt-1 flex flex-col gap-1">
        {rows.map((row) => (
          <WayRow key={row.title} row={row} onTake={(edits) => dispatch(edit(edits, row.title))} />
        ))}
      </ul>
    </div>
  );
}
