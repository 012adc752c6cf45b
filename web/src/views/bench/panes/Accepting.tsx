import { useId, useState } from 'react';
import { withAccepted, withoutAccepted } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import type { TaggedSnag } from '../../../worker/messages';

/** A caution can be let stand, with the reason; it is counted apart then, and comes back with a word. */
export default function Accepting({ snag }: { readonly snag: TaggedSnag }) {
  const build = useAppSelector((state) => state.bench.build);
  const dispatch = useAppDispatch();
  const id = useId();
  const [reason, setReason] = useState<string | null>(null);
  if (!build || snag.severity !== 'caution') return null;
  const set = (value: ReturnType<typeof withAccepted>, words: string) => {
    setReason(null);
    void dispatch(edit([{ type: 'set.accepted', value }], words));
  };
  if (snag.accepted !== undefined)
    return (
      <p className="mt-1 pl-[30px] text-[13px]">
        <button
          type="button"
          className="plain min-h-6 underline decoration-dotted"
          onClick={() => set(withoutAccepted(build, snag.key), `${snag.title}: no longer accepted`)}
        >
          No longer accept it
        </button>
      </p>
    );
  if (reason === null)
    return (
      <p className="mt-1 pl-[30px] text-[13px]">
        <button
          type="button"
          className="plain min-h-6 text-mid underline decoration-dotted"
          onClick={() => setReason('')}
        >
          Accept it as it is
        </button>
      </p>
    );
  const accept = () => {
    const words = reason.trim();
    if (words) set(withAccepted(build, snag.key, words), `${snag.title}: accepted`);
  };
  return (
    <form
      className="mt-1 pl-[30px] text-[13px]"
      onSubmit={(event) => {
        event.preventDefault();
        accept();
      }}
    >
      <label htmlFor={id} className="block">
        Why it may stay so
      </label>
      <input
        id={id}
        className="field w-full"
        maxLength={2000}
        value={reason}
        autoComplete="off"
        ref={(input) => {
          if (input && reason === '') input.focus();
        }}
        onChange={(event) => setReason(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          setReason(null);
        }}
      />
      <span className="mt-1 flex gap-2">
        <button type="submit" className="press" disabled={!reason.trim()}>
          Accept it
        </button>
        <button type="button" className="press" onClick={() => setReason(null)}>
          Cancel
        </button>
      </span>
    </form>
  );
}
