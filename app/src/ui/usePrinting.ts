import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page is being printed: what draws only what is seen draws all of it then. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const paper = window.matchMedia('print');
    // The browser takes its picture as soon as this returns.
    const tell = (is: boolean) => flushSync(() => setPrinting(is));
    const change = ({ matches }: MediaQueryListEvent) => tell(matches);
    const [begin, end] = [() => tell(true), () => tell(false)];
    paper.addEventListener('change', change);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      paper.removeEventListener('change', change);
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return printing;
}
