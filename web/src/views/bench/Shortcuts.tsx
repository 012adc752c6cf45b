import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { setSingleKeys, singleKeysOn } from './singleKeys';

const KEYS: readonly (readonly [string, string])[] = [
  ['Arrows', 'to the nearest place in that direction'],
  ['Page up, Page down', 'to the next feature'],
  ['Enter', 'what fits there, or the sheet of what is there'],
  ['N', 'the next part that is missing'],
  ['/', 'add any part; it goes on the table'],
  ['S', 'snags'],
  ['T', 'tapes'],
  ['H', 'hold what is there, or release it'],
  ['Delete', 'take out what is there'],
  ['V', 'next view'],
  ['Z', 'undo'],
  ['Y', 'redo'],
  ['Escape', 'one level up'],
  ['Ctrl or Cmd with Z', 'undo, anywhere on the page'],
];
/** The shortcut sheet. Single keys act only while the drawing has focus and can be switched off. */
export default function Shortcuts({
  open,
  onOpenChange,
}: {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}) {
  const [on, setOn] = useState(singleKeysOn);
  const from = useRef<Element | null>(null);
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => {
            from.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            // There is no trigger to lead back to: it opens from wherever the keyboard was.
            event.preventDefault();
            if (from.current instanceof HTMLElement || from.current instanceof SVGElement) from.current.focus();
          }}
          className={
            'fixed top-1/2 left-1/2 w-[440px] max-w-[92vw] -translate-x-1/2 ' +
            '-translate-y-1/2 ' +
            'border-2 border-ink bg-sheet p-5'
          }
        >
          <Dialog.Title className="text-lg font-semibold">Keys in the drawing</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
            {KEYS.map(([key, words]) => (
              <div key={key} className="contents">
                <dt>
                  <span className="key text-[12px]">{key}</span>
                </dt>
                <dd className="m-0">{words}</dd>
              </div>
            ))}
          </dl>
          <label className="mt-4 flex min-h-6 items-center gap-2">
            <input
              type="checkbox"
              checked={on}
              onChange={(event) => {
                setOn(event.target.checked);
                setSingleKeys(event.target.checked);
              }}
            />
            Single letters act while the drawing has focus
          </label>
          <Dialog.Close className="press mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
