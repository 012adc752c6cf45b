import { lazy, Suspense, useState } from 'react';
import { printSpot, type OpenThing } from '@inch-tower/core';
import { useAppSelector } from '../../../state/store';
import { useBench } from '../hooks/benchContext';
import { useFocusStart } from '../hooks/useFocusStart';
import { Remedies } from './Remedies';
import { SnagRow } from './SnagRow';

const Accepting = lazy(() => import('./Accepting'));

/** What no snag is looked for, so that silence is not taken for good news. */
function NotComputed() {
  const isKnown = useAppSelector((state) => state.bench.view?.figures['air.hottestDriveC'] !== undefined);
  return isKnown ? null : (
    <span className="block text-[12.5px] text-mid">
      Temperatures are not computed: nothing here says how hot it gets.
    </span>
  );
}

/** What is missing, each leading to what fits there. */
function StillToChoose({ open }: { readonly open: readonly OpenThing[] }) {
  const ui = useBench();
  if (open.length === 0) return null;
  return (
    <div
      role="group"
      aria-label="Still to choose"
      className="flex flex-wrap items-center gap-x-1.5 gap-y-1 border-b border-line px-3 py-2 text-[13px]"
    >
      <span className="text-mid">Still to choose</span>
      {open.map(({ kind, label, spot }) => (
        <button
          key={kind}
          type="button"
          className="press min-h-6 px-2"
          onClick={() => ui.select(printSpot(spot), { pane: 'try', focusPane: true })}
        >
          {label}
        </button>
      ))}
    </div>
  );
}

/** Snags in the order a builder would deal with them; the open one shows its remedies. */
export function SnagsPane() {
  useFocusStart('snags');
  const view = useAppSelector((state) => state.bench.view);
  const ui = useBench();
  const [chosen, setChosen] = useState<string | null>(null);
  if (!view) return <p className="p-4 text-mid">Looking for snags …</p>;
  if (view.snags.length === 0)
    return (
      <>
        <StillToChoose open={view.open} />
        <p className="p-4 text-mid" data-pane-start tabIndex={-1}>
          {view.status === 'clear' ? 'No snags: everything fits together.' : 'No snags in what is chosen so far.'}
          {view.status !== 'empty' && <NotComputed />}
        </p>
      </>
    );
  const selected = view.snags.find((snag) =>
    snag.at.some((place) => ('spot' in place ? printSpot(place.spot) : place.unit) === ui.selected),
  )?.key;
  const openKey = view.snags.some((snag) => snag.key === chosen) ? chosen : (selected ?? view.snags[0]!.key);
  return (
    <>
      <StillToChoose open={view.open} />
      <ol>
        {view.snags.map((snag, i) => {
          const isOpen = snag.key === openKey;
          return (
            <SnagRow
              key={snag.key}
              snag={snag}
              number={i + 1}
              isOpen={isOpen}
              onOpen={() => {
                setChosen(snag.key);
                const spot = snag.at.find((place) => 'spot' in place) ?? snag.at[0];
                if (spot) ui.select('spot' in spot ? printSpot(spot.spot) : spot.unit, { pane: 'snags' });
              }}
            >
              {isOpen && snag.accepted === undefined && <Remedies snag={snag} rev={view.rev} />}
              {isOpen && (
                <Suspense fallback={null}>
                  <Accepting snag={snag} />
                </Suspense>
              )}
            </SnagRow>
          );
        })}
      </ol>
      <div className="px-3 py-2">
        <NotComputed />
      </div>
    </>
  );
}
