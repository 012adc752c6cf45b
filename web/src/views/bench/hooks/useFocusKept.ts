import { useLayoutEffect, useRef, type FocusEvent, type RefObject } from 'react';

/**
 * Keeps the keyboard on the row it was on while rows stream in, change order or go: on another row's taking its place
 * the browser drops it.
 */
export function useFocusKept(list: RefObject<HTMLElement | null>, mark: string) {
  const held = useRef<string | null>(null);
  useLayoutEffect(() => {
    if (held.current === null || document.activeElement !== document.body) return;
    const row = [...(list.current?.querySelectorAll<HTMLElement>(`[${mark}]`) ?? [])].find(
      (one) => one.getAttribute(mark) === held.current,
    );
    (row ?? document.querySelector<HTMLElement>('[data-pane-start]'))?.focus();
  });
  return {
    onFocus: (event: FocusEvent<HTMLElement>) => {
      held.current = event.target.closest(`[${mark}]`)?.getAttribute(mark) ?? null;
    },
    onBlur: (event: FocusEvent<HTMLElement>) => {
      if (event.relatedTarget) held.current = null;
    },
  };
}
