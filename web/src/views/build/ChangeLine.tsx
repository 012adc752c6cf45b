import type { FigureId } from '@inch-tower/core';
import { bench } from '../../state/benchSlice';
import { undo } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import type { BenchView } from '../../worker/messages';
import { JoinSet } from './JoinSet';
import { SaveNotice, wantsNotice } from './SaveNotice';
import { changeWords, countWords, unitWords } from '../../words/format';

const SAID: readonly (readonly [FigureId, string])[] = [
  ['power.idleWallW', 'idle'],
  ['power.peakWallW', 'peak'],
  ['sound.earIdleDb', ''],
  ['cost.now', 'price'],
  ['capacity.usableTb', 'usable'],
  ['flow.readMBps', 'files read'],
  ['ports.free', 'ports free'],
];

/**
 * What the last edit changed, in one line, with undo beside it; before it what was refused, and what keeps edits from
 * the server.
 */
export function ChangeLine({
  hint = 'Click a place in the drawing to see what fits there.',
}: {
  readonly hint?: string;
}) {
  const state = useAppSelector(({ bench: shown }) => shown);
  const { said, problem, view, before, past } = state;
  const dispatch = useAppDispatch();
  if (problem)
    return (
      <p role="alert" className="flex min-h-7 items-center gap-3 border-b border-line px-4 text-[13px]">
        <span className="bad">{problem}</span>
        <button type="button" className="plain min-h-6 underline" onClick={() => dispatch(bench.problemSeen())}>
          Close
        </button>
      </p>
    );
  if (wantsNotice(state)) return <SaveNotice />;
  return (
    <p
      aria-live="polite"
      data-testid="change-line"
      className={
        'flex min-h-7 items-center gap-3 overflow-hidden border-b border-line px-4 ' +
        'text-[13px] whitespace-nowrap text-mid max-md:flex-wrap max-md:gap-y-1 max-md:py-1 max-md:whitespace-normal'
      }
    >
      {said && view ? (
        <>
          <span
            className="max-w-[40%] truncate font-medium text-ink max-md:max-w-none max-md:whitespace-normal"
            title={said}
          >
            {said}
          </span>
          <span className="min-w-0 truncate max-md:whitespace-normal">{changes(before, view).join(', ')}</span>
        </>
      ) : (
        <span>{hint}</span>
      )}
      {said && past.length > 0 && !said.startsWith('Undone') && (
        <button type="button" className="plain min-h-6 text-ink underline" onClick={() => dispatch(undo())}>
          Undo
        </button>
      )}
      {said && view && <JoinSet added={newlyLoose(before, view)} />}
    </p>
  );
}

/** Data drives in no set that were in the machine in none before. */
function newlyLoose(before: BenchView | null, view: BenchView): string[] {
  const looseIn = (one: BenchView | null) =>
    one?.snags.flatMap(({ code, at }) =>
      code === 'lasts.loose' ? at.flatMap((place) => ('unit' in place ? [place.unit] : [])) : [],
    ) ?? [];
  const had = new Set(looseIn(before));
  return before ? looseIn(view).filter((unit) => !had.has(unit)) : [];
}

function changes(before: BenchView | null, view: BenchView): string[] {
  if (!before) return [];
  const figures = SAID.flatMap(([id, word]) => {
    const is = view.figures[id];
    const was = before.figures[id];
    const change = changeWords(id, (is?.value ?? 0) - (was?.value ?? 0));
    if (!change) return [];
    if (id === 'ports.free') return [`ports free ${is?.value ?? 0} (was ${was?.value ?? 0})`];
    return [`${word} ${change} ${unitWords((is ?? was)!)}`.trim()];
  });
  const blockers = (one: BenchView) => one.snags.filter((snag) => snag.severity === 'blocker').length;
  const more = blockers(view) - blockers(before);
  return [
    ...figures,
    ...(more > 0 ? [`${countWords(more, 'new blocker')}`] : more < 0 ? [`${countWords(-more, 'blocker')} fewer`] : []),
  ];
}
