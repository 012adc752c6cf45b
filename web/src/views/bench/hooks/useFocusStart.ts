import { useEffect } from 'react';
import { useBench, type Pane } from './benchContext';

/** Gives a pane the keyboard once it shows what was asked for by key. */
export function useFocusStart(pane: Pane): void {
  const { focusNextRef, selected, pane: shown } = useBench();
  // After every drawing of the pane: its content may come a moment after it is chosen.
  useEffect(() => {
    const wish = focusNextRef.current;
    if (wish?.kind !== 'pane' || shown !== pane || wish.sel !== selected) return;
    const start = document.querySelector<HTMLElement>(`[data-pane="${pane}"] [data-pane-start]`);
    if (!start) return;
    focusNextRef.current = null;
    start.focus();
  });
}
