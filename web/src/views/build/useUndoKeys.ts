import { useEffect } from 'react';
import { redo, undo } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';

/** A box to tick or a list has nothing of its own to take back. */
const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target.tagName === 'TEXTAREA' ||
    (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'range'].includes(target.type)));

/** Ctrl or Cmd with Z and Y everywhere on a machine, except in a field that has text of its own to take back. */
export function useUndoKeys(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (
        !(event.ctrlKey || event.metaKey) ||
        event.altKey ||
        (isTyping(event.target) && (event.target as HTMLInputElement).value)
      )
        return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      dispatch(key === 'y' || event.shiftKey ? redo() : undo());
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [dispatch]);
}
