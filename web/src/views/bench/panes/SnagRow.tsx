import type { ReactNode } from 'react';
import type { TaggedSnag } from '../../../worker/messages';

const SEVERITY: Record<
  TaggedSnag['severity'],
  { readonly word: string; readonly tone: string; readonly colour: string; readonly line: string }
> = {
  blocker: { word: 'Blocker', tone: 'bad', colour: 'var(--bad)', line: 'solid' },
  caution: { word: 'Caution', tone: 'warn', colour: 'var(--warn)', line: 'dotted' },
  note: { word: 'Note', tone: 'text-mid', colour: 'var(--mid)', line: 'dashed' },
};

type Props = {
  readonly snag: TaggedSnag;
  readonly number: number;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  /** What can be done about it, while it is open. */
  readonly children: ReactNode;
};

/** One snag: its number, what is wrong with its numbers, how grave and why. */
export function SnagRow({ snag, number, isOpen, onOpen, children }: Props) {
  const severity = SEVERITY[snag.severity];
  return (
    <li
      className="border-b border-line px-3 py-2"
      style={{ borderLeft: `4px ${severity.line} ${snag.accepted === undefined ? severity.colour : 'var(--line)'}` }}
      data-snag={snag.code}
    >
      <button
        type="button"
        className="plain w-full text-left"
        aria-expanded={isOpen}
        {...(number === 1 ? { 'data-pane-start': '' } : {})}
        onClick={onOpen}
      >
        <span className="flex items-baseline gap-2">
          <span
            className={
              'mono inline-flex h-[22px] w-[22px] shrink-0 items-center justify-center rounded-full ' +
              `text-[12px] ${severity.tone}`
            }
            style={{ border: `2px ${severity.line} ${severity.colour}` }}
          >
            {number}
          </span>
          <span className="min-w-0 font-medium">{snag.what}</span>
        </span>
        <span className="mt-1 block pl-[30px] text-[13px] text-mid">
          {snag.accepted === undefined ? (
            <>
              <span className={`font-medium ${severity.tone}`}>{severity.word}.</span> {snag.why}
            </>
          ) : (
            <>
              <span className="font-medium">Accepted.</span> {snag.accepted}
            </>
          )}
        </span>
      </button>
      {children}
    </li>
  );
}
