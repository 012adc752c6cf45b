import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { SaveFacts } from '../../saving/facts';
import {
  copyStray,
  forgetStray,
  giveUp,
  join,
  joinStray,
  keepAsCopy,
  lookAgain,
  takeTheirs,
  tryAgain,
} from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { saveBuildFile } from '../saveFile';

const changes = (count: number): string => (count === 1 ? '1 change' : `${count} changes`);

/**
 * Whether the open machine has something to say that wants an answer: of its saving, or that it could not be worked
 * out.
 */
export const wantsNotice = ({
  save,
  trouble,
  strays,
  unworked,
}: SaveFacts & { readonly unworked: string | null }): boolean =>
  unworked !== null || save === 'unkept' || strays.length > 0 || (trouble !== null && trouble.kind !== 'away');

/** What keeps edits from the server, and the ways on; none of them loses anything unasked. */
export function SaveNotice() {
  const { save, unsaved, trouble, strays, unworked } = useAppSelector((state) => state.bench);
  const dispatch = useAppDispatch();
  if (trouble?.kind === 'stale') return <Stale mine={unsaved} />;
  if (trouble?.kind === 'gone') return <Gone mine={unsaved} />;
  if (trouble?.kind === 'refused' || trouble?.kind === 'fault')
    return <NotTaken mine={unsaved} words={trouble.words} again={trouble.kind === 'fault'} kept={save !== 'unkept'} />;
  if (save === 'unkept')
    return (
      <Notice
        words={
          `${changes(unsaved)} not saved, and this browser cannot keep ` +
          `${unsaved === 1 ? 'it' : 'them'} (its storage is blocked or full). Leave this page open ` +
          'until it says “Saved”.'
        }
      >
        <FileButton />
      </Notice>
    );
  if (unworked !== null)
    return (
      <Notice
        words={
          `This machine could not be worked out as it stands: ${unworked} What you did is kept; ` +
          'take it back, or go on and the figures follow. They are of an earlier state until then.'
        }
      >
        <Act words="Work it out again" work={() => dispatch(lookAgain())} />
        <FileButton />
      </Notice>
    );
  return strays[0] ? <Stray key={strays[0].key} stray={strays[0]} more={strays.length - 1} /> : null;
}

function Notice({ words, children }: { readonly words: string; readonly children: ReactNode }) {
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-2 border-b border-line bg-wash px-4 py-1.5 text-[13px]"
    >
      <span className="max-w-[80ch]">{words}</span>
      {children}
    </div>
  );
}

/** A button that stays pressed while its work is under way, so that it is not done twice. */
function Act({ words, work }: { readonly words: string; readonly work: () => Promise<unknown> }) {
  const [busy, setBusy] = useState(false);
  return (
    <button
      type="button"
      className="press"
      disabled={busy}
      onClick={() => {
        setBusy(true);
        void work().finally(() => setBusy(false));
      }}
    >
      {words}
    </button>
  );
}

function FileButton() {
  const build = useAppSelector((state) => state.bench.build);
  return (
    build && (
      <button type="button" className="press" onClick={() => saveBuildFile(build)}>
        Save it as a file
      </button>
    )
  );
}

function useCopy(): (name?: string) => Promise<void> {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return async (name) => {
    const id = await dispatch(keepAsCopy(name));
    if (id) void navigate(`/b/${id}`);
  };
}

function Stale({ mine }: { readonly mine: number }) {
  const dispatch = useAppDispatch();
  const copy = useCopy();
  return (
    <Notice
      words={
        'This machine was saved elsewhere after you opened it. Your ' +
        `${mine === 1 ? 'change is' : `${mine} changes are`} not in that version.`
      }
    >
      <Act words="Put my changes on theirs" work={() => dispatch(join())} />
      <Act words="Keep mine as a copy" work={() => copy()} />
      <Act words="Take theirs" work={() => dispatch(takeTheirs())} />
    </Notice>
  );
}

function Gone({ mine }: { readonly mine: number }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const copy = useCopy();
  const name = useAppSelector((state) => state.bench.build?.name ?? '');
  const leave = async () => {
    const build = await dispatch(giveUp());
    if (build) saveBuildFile(build);
    void navigate('/');
  };
  return (
    <Notice
      words={
        'This machine was deleted elsewhere. It is still here as you see it, with ' +
        `${changes(mine)} that ${mine === 1 ? 'was' : 'were'} never saved.`
      }
    >
      <Act words="Save as a new machine" work={() => copy(name)} />
      <Act words="Save a file and give it up" work={leave} />
    </Notice>
  );
}

function NotTaken({
  mine,
  words,
  again,
  kept,
}: {
  readonly mine: number;
  readonly words: string;
  readonly again: boolean;
  readonly kept: boolean;
}) {
  const dispatch = useAppDispatch();
  const copy = useCopy();
  return (
    <Notice
      words={
        `${changes(mine)} not on the server: ${words} ` +
        `${kept ? 'Saved in this browser' : 'Not saved in this browser either: leave this page open'}` +
        `${again ? '; tried again by itself.' : '.'}`
      }
    >
      <Act words="Try again" work={() => dispatch(tryAgain())} />
      <Act words="Keep mine as a copy" work={() => copy()} />
      <FileButton />
    </Notice>
  );
}

function Stray({ stray, more }: { readonly stray: SaveFacts['strays'][number]; readonly more: number }) {
  const dispatch = useAppDispatch();
  const when = stray.at === null ? '' : `, on ${new Date(stray.at).toLocaleString()}`;
  const also = more === 0 ? '' : ` (${more} more like this)`;
  return (
    <Notice
      words={
        `Another tab of this browser was closed with ${changes(stray.steps)} to this machine ` +
        `that never reached the server${when}${also}.`
      }
    >
      <Act words="Put them on this version" work={() => dispatch(joinStray(stray.key))} />
      <Act words="Keep them as a copy" work={() => dispatch(copyStray(stray.key))} />
      <Act words="Give them up" work={() => dispatch(forgetStray(stray.key))} />
    </Notice>
  );
}
