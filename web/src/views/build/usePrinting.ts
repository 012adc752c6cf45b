import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/**
 * Whether the page is being printed, or shown as it would print: what is on paper only is made then, and costs an edit
 * nothing. It is there before the browser takes the page.
 */
export function usePrinting(): boolean {
  const [isPrinting, setPrinting] = useState(() => matchMedia('print').matches);
  useEffect(() => {
    const print = matchMedia('print');
    const show = () => flushSync(() => setPrinting(true));
    const follow = () => flushSync(() => setPrinting(print.matches));
    addEventListener('beforeprint', show);
    addEventListener('afterprint', follow);
    print.addEventListener('change', follow);
    return () => {
      removeEventListener('beforeprint', show);
      removeEventListener('afterprint', follow);
      print.removeEventListener('change', follow);
    };
  }, []);
  return isPrinting;
}
