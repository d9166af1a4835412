import { useEffect, useMemo, useRef, useState } from 'react';

import { inWords } from '../section/inWords';
import { RowBitmaps, type Span } from './rowBitmaps';
import { useSectionInSight } from './sectionsInSight';
import type { FieldRow } from '../api/useFieldPages';

/** The painter of the rows, in the theme and density of the page. */
export function useRowBitmaps(frame: Span, day: string) {
  const [bitmaps, setBitmaps] = useState<RowBitmaps>();
  useEffect(() => {
    let gone = false;
    const again = () => {
      if (!gone) setBitmaps(new RowBitmaps(frame, day, window.devicePixelRatio || 1));
    };
    // names would be painted in the wrong type before the fonts are there
    void document.fonts.ready.then(again);
    const theme = new MutationObserver(again);
    theme.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    window.addEventListener('resize', again);
    return () => {
      gone = true;
      theme.disconnect();
      window.removeEventListener('resize', again);
    };
  }, [frame, day]);
  return bitmaps;
}

/** A field's rotation as a row of the list; asked for when the row comes into sight. */
export function RowPicture({
  f,
  frame,
  bitmaps,
}: {
  f: FieldRow;
  frame: Span;
  bitmaps?: RowBitmaps;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const section = useSectionInSight(f.fieldId, f.state).data;
  const { next, note } = f;
  const summary = useMemo(
    () => (section ? { section, next, note } : undefined),
    [section, next, note],
  );
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!bitmaps || !ctx || !summary) return;
    const picture = bitmaps.of(summary);
    ctx.canvas.width = picture.width;
    ctx.canvas.height = picture.height;
    ctx.drawImage(picture, 0, 0);
  }, [bitmaps, summary]);
  if (f.fault) return <span className="text-[13px] text-hand">{f.fault}</span>;
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-busy={section === undefined}
      aria-label={section ? inWords(section, false) : 'picture on its way'}
      style={{ width: frame.width, height: frame.height }}
    />
  );
}
