import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';

import type { Evaluation } from '../api/client';
import { GroundSection } from '../section/GroundSection';
import type { SectionHand } from '../section/hand';

const WIDTH = 1000;
const HEIGHT = 386;
/** Pixels of the picture for each of the drawing. */
const DENSITY = 2;
/** Nothing is taken hold of. */
export const NO_HAND: SectionHand = {
  drag: () => undefined,
  dragStand: () => undefined,
  drop: () => undefined,
  cancel: () => undefined,
  step: () => undefined,
  pick: () => undefined,
  note: () => undefined,
};

/** The whole section as a picture that stands by itself: every colour written out, always as by day. */
export function drawnSection(evaluation: Evaluation, us: boolean): string {
  const sheet = document.createElement('div');
  const root = createRoot(sheet);
  flushSync(() =>
    root.render(
      <GroundSection
        evaluation={evaluation}
        fold="full"
        width={WIDTH}
        height={HEIGHT}
        us={us}
        moved={{}}
        hand={NO_HAND}
        still
      />,
    ),
  );
  const svg = sheet.querySelector('svg');
  const page = document.documentElement;
  const theme = page.dataset.theme ?? 'day';
  page.dataset.theme = 'day';
  const style = getComputedStyle(page);
  const text = svg
    ? new XMLSerializer()
        .serializeToString(svg)
        .replace(/var\((--[\w-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim())
    : '';
  page.dataset.theme = theme;
  root.unmount();
  return text;
}

/** The same as a PNG on white, twice as fine. */
export async function paintedSection(svg: string): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH * DENSITY;
  canvas.height = HEIGHT * DENSITY;
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('this browser paints no pictures');
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((done, fail) =>
    canvas.toBlob(
      (b) => (b ? done(b) : fail(new Error('the picture came out empty'))),
      'image/png',
    ),
  );
}
