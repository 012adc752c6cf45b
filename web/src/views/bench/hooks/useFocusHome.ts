import { useEffect, type RefObject } from 'react';

/**
 * Keeps the keyboard in a pane: where what held the focus goes away by an act, its start takes it, else the tab that is
 * open, so that the next key acts where the last one did.
 */
export function useFocusHome(pane: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = pane.current;
    if (!element) return;
    let isHere = false;
    const onFocus = (event: FocusEvent) => {
      isHere = event.target instanceof Node && element.contains(event.target);
    };
    const onPointer = (event: PointerEvent) => {
      if (!(event.target instanceof Node && element.contains(event.target))) isHere = false;
    };
    const bringHome = () => {
      if (!isHere || document.activeElement !== document.body) return;
      const home =
        element.querySelector<HTMLElement>('[role="tabpanel"][data-state="active"] [data-pane-start]') ??
        element.querySelector<HTMLElement>('[role="tab"][data-state="active"]');
      home?.focus();
    };
    const watch = new MutationObserver(bringHome);
    watch.observe(element, { childList: true, subtree: true });
    document.addEventListener('focusin', onFocus);
    document.addEventListener('pointerdown', onPointer);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', onFocus);
      document.removeEventListener('pointerdown', onPointer);
    };
  }, [pane]);
}
