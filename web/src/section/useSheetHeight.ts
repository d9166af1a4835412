import { useSyncExternalStore } from 'react';

const FULL = { least: 400, most: 600, share: 0.5 };
const STRIP = 112;

const subscribe = (changed: () => void) => {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
};

/** Height of the section's sheet, px: unfolded it takes nearly half of a tall window. */
export function useSheetHeight(fold: 'full' | 'strip'): number {
  const window = useSyncExternalStore(subscribe, () => globalThis.innerHeight);
  if (fold === 'strip') return STRIP;
  return Math.round(Math.min(FULL.most, Math.max(FULL.least, window * FULL.share)));
}
