import { useEffect, useState } from 'react';
import { printSpot } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import type { TaggedSnag, WaysOut } from '../../../worker/messages';
import { useBench } from '../hooks/benchContext';
import { useFocusStart } from '../hooks/useFocusStart';
import { useOwned } from '../hooks/useOwned';
import { useSearch } from '../hooks/useSearch';
import { Conflict, WayRow } from './WayRow';

const SEVERITY: Record<
  TaggedSnag['severity'],
  { readonly word: string; readonly tone: string; readonly colour: string; readonly line: string }
> = {
  blocker: { word: 'Blocker', tone: 'bad', colour: 'var(--bad)', line: 'solid' },
  caution: { word: 'Caution', tone: 'warn', colour: 'var(--warn)', line: 'dotted' },
  note: { word: 'Note', tone: 'text-mid', colour: 'var(--mid)', line: 'dashed' },
};

/** What no snag is looked for, so that silence is not taken for good news. */
const NotComputed = () => (
  <span className="block text-[12.5px] text-mid">
    Temperatures are not computed: nothing here says how hot it gets.
  </span>
);

/** Snags in the order a builder would deal with them; the open one shows its remedies. */
export function SnagsPane() {
  useFocusStart('snags');
  const view = useAppSelector((state) => state.bench.view);
  const ui = useBench();
  const [chosen, setChosen] = useState<string | null>(null);
  if (!view) return <p className="p-4 text-mid">Looking for snags …</p>;
  if (view.snags.length === 0)
    return (
      <p className="p-4 text-mid" data-pane-start tabIndex={-1}>
        {view.status === 'clear' ? 'No snags: everything fits together.' : 'No snags in what is chosen so far.'}
        {view.open.length > 0 && ` Still open: ${view.open.map((one) => one.label.toLowerCase()).join(', ')}.`}
        {view.status !== 'empty' && <NotComputed />}
      </p>
    );
  const selected = view.snags.find((snag) =>
    snag.at.some((place) => ('spot' in place ? printSpot(place.spot) : place.unit) === ui.selected),
  )?.key;
  const openKey = view.snags.some((snag) => snag.key === chosen) ? chosen : (selected ?? view.snags[0]!.key);
  return (
    <>
      <ol>
        {view.snags.map((snag, i) => {
          const severity = SEVERITY[snag.severity];
          const open = snag.key === openKey;
          return (
            <li
              key={snag.key}
              className="border-b border-line px-3 py-2"
              style={{ borderLeft: `4px ${severity.line} ${severity.colour}` }}
              data-snag={snag.code}
            >
              <button
                type="button"
                className="plain w-full text-left"
                aria-expanded={open}
                {...(i === 0 ? { 'data-pane-start': '' } : {})}
                onClick={() => {
                  setChosen(snag.key);
                  const spot = snag.at.find((place) => 'spot' in place) ?? snag.at[0];
                  if (spot) ui.select('spot' in spot ? printSpot(spot.spot) : spot.unit, { pane: 'snags' });
                }}
              >
                <span className="flex items-baseline gap-2">
                  <span
                    className={
                      'mono inline-flex h-[22px] w-[22px] shrink-0 items-center justify-center rounded-full ' +
                      `text-[12px] ${severity.tone}`
                    }
                    style={{ border: `2px ${severity.line} ${severity.colour}` }}
                  >
                    {i + 1}
                  </span>
                  <span className="min-w-0 font-medium">{snag.what}</span>
                </span>
                <span className="mt-1 block pl-[30px] text-[13px] text-mid">
                  <span className={`font-medium ${severity.tone}`}>{severity.word}.</span> {snag.why}
                </span>
              </button>
              {open && <Remedies snag={snag} rev={view.rev} />}
            </li>
          );
        })}
      </ol>
      <div className="px-3 py-2">
        <NotComputed />
      </div>
    </>
  );
}

function Remedies({ snag, rev }: { readonly snag: TaggedSnag; readonly rev: number }) {
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
