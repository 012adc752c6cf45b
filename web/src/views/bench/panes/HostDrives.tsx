import { useEffect, useRef, useState } from 'react';
import { problemOf, useBuildsQuery, useLazyWholeBuildQuery, type BuildCard } from '../../../state/api';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { countWords } from '../../../words/format';
import type { Hosted } from '../../../worker/messages';
import { useSearch } from '../../../worker/useSearch';
import { WayRow } from './WayRow';

const MOST = 200;
const drivesOf = ({ card }: BuildCard): number => (card && 'poolDrives' in card ? card.poolDrives : 0);

/**
 * Whether this machine could take the drives of another, when that one dies: how many find a bay and a port, and what
 * would help.
 */
export default function HostDrives() {
  const id = useAppSelector((state) => state.bench.build?.id);
  const rev = useAppSelector((state) => state.bench.rev);
  const [open, setOpen] = useState(false);
  const { data } = useBuildsQuery({ search: '', limit: MOST }, { skip: !open });
  const [readBuild] = useLazyWholeBuildQuery();
  const search = useSearch();
  const [answer, setAnswer] = useState<{
    readonly of: string;
    readonly rev: number;
    readonly hosted: Hosted | string | null;
  } | null>(null);
  const others = data?.builds.filter((one) => one.id !== id && drivesOf(one) > 0) ?? [];
  const ask = async (of: string) => {
    setAnswer({ of, rev, hosted: null });
    const read = await readBuild(of);
    const { data: other, error } = read;
    if (!other) return setAnswer({ of, rev, hosted: problemOf(error).detail });
    const hosted = await search((searcher) => searcher.hosts(other));
    if (hosted) setAnswer({ of, rev, hosted: hosted === 'late' ? 'This could not be worked out in time.' : hosted });
  };
  const known = answer?.rev === rev ? answer : null;
  return (
    <details
      className="mt-2 border-t border-line pt-1 text-[13px]"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-6 cursor-pointer text-mid">Could it take another machine’s drives?</summary>
      {others.length === 0 && <p className="text-mid">{data ? 'No other machine has a pool.' : 'Looking …'}</p>}
      <ul>
        {others.map(({ id: other, name }) => (
          <li key={other}>
            <button
              type="button"
              data-host={other}
              aria-expanded={known?.of === other}
              className="plain min-h-6 text-left underline decoration-dotted"
              onClick={() => void ask(other)}
            >
              {name || 'Unnamed'}
            </button>
            {known?.of === other && (
              <div aria-live="polite">
                {typeof known.hosted === 'string' ? (
                  <p className="bad">{known.hosted}</p>
                ) : known.hosted ? (
                  <Answer from={name || 'it'} hosted={known.hosted} />
                ) : (
                  <p className="text-mid">Laying them out …</p>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

function Answer({ from, hosted }: { readonly from: string; readonly hosted: Hosted }) {
  const dispatch = useAppDispatch();
  const ref = useRef<HTMLDivElement>(null);
  // The list may be longer than its pane, and the answer below its edge. Newer browsers give a promise: it is no
  // clean-up.
  useEffect(() => {
    void ref.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const { drives, placed, connected, all, roomAfter, troubles, rows } = hosted;
  const good = all && troubles.every(({ severity }) => severity !== 'blocker');
  return (
    <div ref={ref} data-hosting className="mt-1 mb-2 border-l-2 border-line pl-2">
      <p className={good ? 'good' : 'bad'}>
        {all
          ? `All ${countWords(drives, 'drive')} of ${from} ${drives === 1 ? 'finds' : 'find'} a bay and a port.`
          : `Of ${countWords(drives, 'drive')} of ${from} ${placed} ` +
            `${placed === 1 ? 'finds' : 'find'} a bay, ${connected} a port.`}
      </p>
      {placed > 0 && (
        <p className="text-mid">
          {roomAfter > 0
            ? `Then there is room for ${roomAfter} more like them.`
            : 'Then there is no room for more like them.'}
        </p>
      )}
      {troubles.map(({ what, severity }) => (
        <p key={what} className={severity === 'blocker' ? 'bad' : 'warn'}>
          {severity === 'blocker' ? 'Blocker' : 'Caution'}: {what}
        </p>
      ))}
      <ul className="mt-1 flex flex-col gap-1">
        {rows.map((row) => (
          <WayRow key={row.title} row={row} onTake={(edits) => dispatch(edit(edits, `${row.title}: ${from}`))} />
        ))}
      </ul>
    </div>
  );
}
