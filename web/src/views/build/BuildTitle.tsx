import { memo, useEffect, useRef, useState } from 'react';
import { Link, NavLink, useSearchParams } from 'react-router';
import { LIMITS, printSpot, verdictOf } from '@inch-tower/core';
import type { SaveState } from '../../saving/draft';
import { edit, redo, undo } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { GiveOut } from './GiveOut';
import { STATUS_WORDS } from '../../words/status';

const SAVE_WORDS: Record<SaveState, string> = {
  saved: 'Saved',
  saving: 'Saving …',
  kept: 'Saved in this browser only',
  unkept: 'Not saved: leave this page open',
  stale: 'Changed elsewhere',
  gone: 'Deleted elsewhere',
};

type Props = {
  /** Opens the sheet of keys, where a view has keys of its own. */ readonly onHelp?: () => void;
  /** Where the keyboard goes once the name is typed. */ readonly onNamed?: () => void;
};

/** The name with its status, the views of the machine, undo and redo, and the saved state in words. */
export function BuildTitle({ onHelp, onNamed }: Props) {
  const id = useAppSelector((state) => state.bench.build?.id);
  // What is selected stays so from view to view.
  const sel = useSearchParams()[0].get('sel');
  return (
    <>
      <NameField onNamed={onNamed} />
      <Verdict id={id} sel={sel} />
      {id !== undefined && <ViewsOf id={id} sel={sel} />}
      <UndoRedo />
      <SaveWords />
      <GiveOut />
      {onHelp && (
        <button
          type="button"
          className="plain min-h-6 text-[13px] whitespace-nowrap text-mid hover:underline"
          onClick={onHelp}
        >
          Keys <span className="key">?</span>
        </button>
      )}
    </>
  );
}

type Of = { readonly id: string | undefined; readonly sel: string | null };

/** How the machine stands, leading to what is to be chosen or read. */
const Verdict = memo(function Verdict({ id, sel }: Of) {
  const view = useAppSelector((state) => state.bench.view);
  const unworked = useAppSelector((state) => state.bench.unworked);
  const status = view && STATUS_WORDS[view.status];
  const verdict = view && verdictOf(view);
  // Where parts are missing the first of them is what to choose; else what was found is what to read.
  const next = view && view.status !== 'blocked' ? view.open[0] : undefined;
  const verdictQuery = next
    ? `?pane=try&sel=${encodeURIComponent(printSpot(next.spot))}`
    : `?pane=snags${sel ? `&sel=${encodeURIComponent(sel)}` : ''}`;
  return (
    <>
      <Link
        to={`/b/${id ?? ''}${verdictQuery}`}
        aria-live="polite"
        title={next ? `Choose: ${next.label.toLowerCase()}` : 'To what was found'}
        className={
          'flex min-h-7 min-w-min items-center text-[17px] leading-tight font-semibold hover:underline ' +
          'lg:min-w-[5.4rem] ' +
          'max-[1100px]:text-[15px] ' +
          (unworked !== null ? 'bad' : (status?.tone ?? 'text-mid'))
        }
        data-testid="status"
      >
        {unworked === null ? (verdict?.words ?? '…') : 'Not worked out'}
      </Link>
      {unworked === null && verdict && (
        <span className="min-w-0 shrink-[9] truncate text-[12.5px] text-mid md:max-[1100px]:hidden">
          {verdict.notComputed}
        </span>
      )}
    </>
  );
});

const ViewsOf = memo(function ViewsOf({ id, sel }: Of) {
  const chosen = sel ? `?sel=${encodeURIComponent(sel)}` : '';
  return (
    <nav aria-label="Views of the machine" className="flex gap-1 text-[14px]">
      <ViewLink to={`/b/${id}${chosen}`}>Bench</ViewLink>
      <ViewLink to={`/b/${id}/wiring${chosen}`}>Wiring</ViewLink>
      <ViewLink to={`/b/${id}/power`}>Power</ViewLink>
      <ViewLink to={`/b/${id}/air`}>Air</ViewLink>
      <ViewLink to={`/b/${id}/pool`}>Pool</ViewLink>
      <ViewLink to={`/b/${id}/bill`}>Bill</ViewLink>
      <ViewLink to={`/b/${id}/brief`}>Brief</ViewLink>
    </nav>
  );
});

const UndoRedo = memo(function UndoRedo() {
  const past = useAppSelector((state) => state.bench.past);
  const future = useAppSelector((state) => state.bench.future);
  const dispatch = useAppDispatch();
  return (
    <span className="ml-2 flex gap-1">
      <button
        type="button"
        className="press"
        disabled={past.length === 0}
        onClick={() => dispatch(undo())}
        title={past.at(-1)?.words}
      >
        Undo
      </button>
      <button
        type="button"
        className="press"
        disabled={future.length === 0}
        onClick={() => dispatch(redo())}
        title={future[0]?.words}
      >
        Redo
      </button>
    </span>
  );
});

function SaveWords() {
  const save = useAppSelector((state) => state.bench.save);
  const isWaiting = useAppSelector((state) => state.bench.isWaiting);
  return (
    <span className="text-[13px] whitespace-nowrap text-mid" role="status" data-testid="save-state">
      {SAVE_WORDS[isWaiting && (save === 'saved' || save === 'kept') ? 'saving' : save]}
    </span>
  );
}

function ViewLink({ to, children }: { readonly to: string; readonly children: string }) {
  return (
    <NavLink
      end
      to={to}
      className={({ isActive }) =>
        'flex min-h-7 items-center px-2 ' +
        `${isActive ? 'font-semibold shadow-[inset_0_-3px_0_var(--tape)]' : 'text-mid hover:underline'}`
      }
    >
      {children}
    </NavLink>
  );
}

function NameField({ onNamed }: { readonly onNamed: (() => void) | undefined }) {
  const name = useAppSelector((state) => state.bench.build?.name ?? '');
  const dispatch = useAppDispatch();
  const [params] = useSearchParams();
  const [typed, setTyped] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const fresh = params.get('name') === 'edit';
  useEffect(() => {
    if (fresh) input.current?.select();
  }, [fresh]);
  const leave = () => {
    if (typed !== null && typed.trim() !== name) dispatch(edit([{ type: 'set.name', value: typed.trim() }]));
    setTyped(null);
  };
  return (
    <input
      ref={input}
      aria-label="Name of the machine"
      className="plain min-w-24 rounded-sm border-b border-dotted border-mid px-1 text-[15px] font-semibold"
      maxLength={LIMITS.nameCharacters}
      style={{ width: `${Math.min(34, Math.max(8, (typed ?? name).length + 1))}ch` }}
      title={name}
      value={typed ?? name}
      placeholder="Unnamed"
      autoFocus={fresh}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          leave();
          onNamed?.();
        }
        if (event.key === 'Escape') {
          setTyped(null);
          onNamed?.();
        }
      }}
    />
  );
}
