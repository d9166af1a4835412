import type { ReactNode } from 'react';

import { MARKS, TILES } from './tiles';

export const FIG = "'Sofia Sans Semi Condensed', sans-serif";
export const TEXT = "'Alegreya Sans', sans-serif";

export const inkOf = (g: string) => `var(--${g})`;

/** The patterns that a drawing's stands and residues are filled with. */
export function Patterns({ prefix }: { prefix: string }) {
  return (
    <defs>
      {Object.entries(TILES).map(([name, t]) => (
        <pattern
          key={name}
          id={`${prefix}-${name}`}
          width={t.size}
          height={t.size}
          patternUnits="userSpaceOnUse"
          patternTransform={t.turnDeg === undefined ? undefined : `rotate(${t.turnDeg})`}
        >
          <path
            d={t.d}
            fill={t.width === undefined ? inkOf(t.ink) : 'none'}
            stroke={t.width === undefined ? 'none' : inkOf(t.ink)}
            strokeWidth={t.width}
          />
        </pattern>
      ))}
    </defs>
  );
}

/** Words on the drawing, in figures' type unless said otherwise. */
export function Word({
  x,
  y,
  children,
  size = 11,
  weight = 400,
  fill = 'var(--ink)',
  anchor = 'start',
  italic,
  text,
  halo,
}: {
  x: number;
  y: number;
  children: ReactNode;
  size?: number;
  weight?: number;
  fill?: string;
  anchor?: 'start' | 'middle' | 'end';
  italic?: boolean;
  /** Set in the type of text. */
  text?: boolean;
  halo?: boolean;
}) {
  const common = {
    x,
    y,
    fontFamily: text ? TEXT : FIG,
    fontSize: size,
    fontWeight: weight,
    fontStyle: italic ? 'italic' : undefined,
    textAnchor: anchor,
  };
  // a halo of its own, since not every painter knows the order of stroke and fill
  return (
    <>
      {halo && (
        <text {...common} fill="none" stroke="var(--paper)" strokeWidth="3.2" aria-hidden>
          {children}
        </text>
      )}
      <text {...common} fill={fill}>
        {children}
      </text>
    </>
  );
}

/** The mark of a note's weight: octagon, half-filled lozenge, open circle; the word always stands with it. */
export function WeightMark({
  weight,
  x,
  y,
}: {
  weight: 'stop' | 'think' | 'tip';
  x: number;
  y: number;
}) {
  const at = `translate(${x} ${y})`;
  if (weight === 'stop') {
    return (
      <g transform={at}>
        <path d={MARKS.stop.body} fill="var(--hand)" />
        <path d={MARKS.stop.bar} stroke="var(--paper)" strokeWidth="2.2" />
      </g>
    );
  }
  if (weight === 'think') {
    return (
      <g transform={at}>
        <path d={MARKS.think.body} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
        <path d={MARKS.think.half} fill="var(--ink)" />
      </g>
    );
  }
  return (
    <g transform={at}>
      <circle r={MARKS.tip.ringPx} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
      <circle r={MARKS.tip.dotPx} fill="var(--ink)" />
    </g>
  );
}
