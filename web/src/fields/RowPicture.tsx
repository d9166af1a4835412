import { useEffect, useRef, useState } from 'react';

import { inWords } from '../section/inWords';
import { KEPT, RowBitmaps, type Span, type Summary } from './rowBitmaps';

/** ms of an idle stretch that painting ahead takes at a time. */
const AHEAD_MS = 8;

const idle: (work: () => void) => () => void =
  typeof requestIdleCallback === 'function'
    ? (work) => {
        const id = requestIdleCallback(work);
        return () => cancelIdleCallback(id);
      }
    : (work) => {
        const id = setTimeout(work, 30);
        return () => clearTimeout(id);
      };

/** The pictures of all rows, in the theme and density of the page; those not in sight are painted while nothing else is done. */
export function useRowBitmaps(fields: Summary[], frame: Span, day: string) {
  const [bitmaps, setBitmaps] = useState<RowBitmaps>();
  useEffect(() => {
    let gone = false;
    const anew = () => {
      if (!gone) setBitmaps(new RowBitmaps(frame, day, window.devicePixelRatio || 1));
    };
    // names would be painted in the wrong type before the fonts are there
    void document.fonts.ready.then(anew);
    const theme = new MutationObserver(anew);
    theme.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    window.addEventListener('resize', anew);
    return () => {
      gone = true;
      theme.disconnect();
      window.removeEventListener('resize', anew);
    };
  }, [frame, day]);
  useEffect(() => {
    if (!bitmaps) return;
    let stop: () => void = () => undefined;
    let at = 0;
    const last = Math.min(KEPT, fields.length);
    const ahead = () => {
      const until = performance.now() + AHEAD_MS;
      for (; at < last && performance.now() < until; at++) {
        const f = fields[at];
        if (f && !bitmaps.has(f)) bitmaps.of(f);
      }
      if (at < last) stop = idle(ahead);
    };
    stop = idle(ahead);
    return () => stop();
  }, [bitmaps, fields]);
  return bitmaps;
}

/** A field's rotation as a row of the list. */
export function RowPicture({
  f,
  frame,
  bitmaps,
}: {
  f: Summary;
  frame: Span;
  bitmaps?: RowBitmaps;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!bitmaps || !ctx) return;
    const picture = bitmaps.of(f);
    ctx.canvas.width = picture.width;
    ctx.canvas.height = picture.height;
    ctx.drawImage(picture, 0, 0);
  }, [bitmaps, f]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={inWords(f.section, false)}
      style={{ width: frame.width, height: frame.height }}
    />
  );
}
