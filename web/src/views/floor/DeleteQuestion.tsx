import type { BuildCard } from '../../state/api';

/** A machine that is asked about before it goes for good. */
export type Leaving = {
  readonly card: BuildCard;
  /** Copies of it that closed tabs left. */
  readonly keys: readonly string[];
  /** How many edits of it are on no server. */
  readonly steps: number;
};

/** Asks, at the machine, whether it is to go; Escape and Cancel keep it. */
export function DeleteQuestion({
  leaving: { card, steps },
  onDelete,
  onKeep,
}: {
  readonly leaving: Leaving;
  readonly onDelete: () => void;
  readonly onKeep: () => void;
}) {
  return (
    <div
      role="alertdialog"
      aria-label="Delete a machine"
      className="mt-2 mr-6 border-l-4 border-warn bg-sheet px-3 py-2 text-[13px]"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onKeep();
      }}
    >
      <p>
        Delete “{card.name}” for good? Its file and all its revisions go with it
        {steps > 0 ? `, and ${steps === 1 ? '1 change' : `${steps} changes`} that never reached the server` : ''}.
      </p>
      <p className="mt-2 flex gap-2">
        <button type="button" className="press" onClick={onDelete}>
          Delete it
        </button>
        <button type="button" className="press" autoFocus onClick={onKeep}>
          Cancel
        </button>
      </p>
    </div>
  );
}
