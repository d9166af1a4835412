import { useCallback, useState } from 'react';

/** The width of an element in px, as it changes; the fallback until it is laid out. */
export function useWidth(fallback: number): [(el: HTMLElement | null) => void, number] {
  const [width, setWidth] = useState(fallback);
  const ref = useCallback((el: HTMLElement | null) => {
    if (!el || typeof ResizeObserver === 'undefined') return;
    const watch = new ResizeObserver((entries) => {
      const w = Math.round(entries[0]?.contentRect.width ?? 0);
      if (w > 0) setWidth(w);
    });
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  return [ref, width];
}
