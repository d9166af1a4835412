import { memo } from 'react';

import type { DisplayList } from './displayList';
import { Word } from './ink';
import { FROST_Y, RAIN_Y } from './ribbon';

/** Frost, rain and warmth over the section: recorded strongly, ahead lightly with its band. */
export const WeatherRibbon = memo(function WeatherRibbon({ d }: { d: DisplayList }) {
  const r = d.ribbon;
  if (!r) return null;
  const name = (text: string, y: number) => (
    <Word x={d.scale.x0 - 8} y={y} fill="var(--ink2)" anchor="end">
      {text}
    </Word>
  );
  return (
    <>
      {name('frost', FROST_Y)}
      {name('rain', RAIN_Y + 11)}
      {name('warmth', 66)}
      <path
        d={`M${d.scale.x0} ${FROST_Y}H${d.scale.x1}M${d.scale.x0} ${RAIN_Y}H${d.scale.x1}`}
        stroke="var(--rule)"
        strokeWidth="0.75"
        fill="none"
      />
      <path
        d={`M${d.scale.x0} ${r.zeroY}H${d.scale.x1}`}
        stroke="var(--rule)"
        strokeWidth="0.75"
        strokeDasharray="1.5 3"
        fill="none"
      />
      <Word x={d.scale.x1 + 3} y={r.zeroY + 4} size={11} fill="var(--ink2)">
        {d.us ? '32 °F' : '0 °C'}
      </Word>
      <path d={r.frost} stroke="var(--ink)" strokeWidth="1.3" fill="none" />
      <path
        d={r.frostAhead}
        stroke="var(--ink2)"
        strokeWidth="1"
        strokeOpacity="0.75"
        fill="none"
      />
      <path d={r.rain} stroke="var(--rain)" strokeWidth="2.2" fill="none" />
      <path
        d={r.rainAhead}
        stroke="var(--rain)"
        strokeWidth="1.2"
        strokeOpacity="0.8"
        fill="none"
      />
      <path d={r.rainHigh} stroke="var(--rain)" strokeWidth="0.8" strokeOpacity="0.7" fill="none" />
      <path d={r.warmthBand} fill="var(--warm)" fillOpacity="0.16" />
      <path d={r.warmth} stroke="var(--warm)" strokeWidth="1.7" fill="none" />
      <path d={r.warmthAhead} stroke="var(--warm)" strokeWidth="1.1" fill="none" />
    </>
  );
});
