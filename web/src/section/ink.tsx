import type { ReactNode } from 'react';

import type { Group } from './geometry';

export const FIG = "'Sofia Sans Semi Condensed', sans-serif";
export const TEXT = "'Alegreya Sans', sans-serif";

export const inkOf = (g: string) => `var(--${g})`;

/** One pattern per functional group, and straw. */
export function Patterns({ prefix }: { prefix: string }) {
  const p = (id: Group | 'straw', size: number, body: ReactNode, turn?: string) => (
    <pattern
      id={`${prefix}-${id}`}
      width={size}
      height={size}
      patternUnits="userSpaceOnUse"
      patternTransform={turn}
    >
      {body}
    </pattern>
  );
  return (
    <defs>
      {p(
        'cool-grass',
        3.2,
        <path d="M1.1 0V3.2" stroke={inkOf('cool-grass')} strokeWidth="0.95" />,
      )}
      {p(
        'warm-grass',
        4.6,
        <path d="M0 2.3H4.6" stroke={inkOf('warm-grass')} strokeWidth="1.25" />,
        'rotate(-52)',
      )}
      {p(
        'cool-legume',
        4.4,
        <g fill={inkOf('cool-legume')}>
          <circle cx="1.1" cy="1.1" r="0.98" />
          <circle cx="3.3" cy="3.3" r="0.98" />
        </g>,
      )}
      {p(
        'warm-legume',
        6.4,
        <g fill="none" stroke={inkOf('warm-legume')} strokeWidth="0.9">
          <circle cx="1.7" cy="1.7" r="1.25" />
          <circle cx="4.9" cy="4.9" r="1.25" />
        </g>,
      )}
      {p(
        'brassica',
        4.4,
        <path d="M0 0L4.4 4.4M4.4 0L0 4.4" stroke={inkOf('brassica')} strokeWidth="0.8" />,
      )}
      {p(
        'broadleaf',
        6.6,
        <path
          d="M0.2 1.7H3.2M1.7 0.2V3.2M3.5 5H6.5M5 3.5V6.5"
          stroke={inkOf('broadleaf')}
          strokeWidth="0.95"
        />,
      )}
      {p(
        'straw',
        9,
        <path
          d="M0 2L4 1M3 5L8 4.5M1 8L5 7M6 1.5L9 2.2M6 7.5L9 8.5"
          stroke={inkOf('strawink')}
          strokeWidth="0.7"
          fill="none"
        />,
      )}
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
  if (weight === 'stop') {
    return (
      <g>
        <path
          d={`M${x - 2.9} ${y - 7}H${x + 2.9}L${x + 7} ${y - 2.9}V${y + 2.9}L${x + 2.9} ${y + 7}H${x - 2.9}L${x - 7} ${y + 2.9}V${y - 2.9}Z`}
          fill="var(--hand)"
        />
        <path d={`M${x - 3.6} ${y}H${x + 3.6}`} stroke="var(--paper)" strokeWidth="2.2" />
      </g>
    );
  }
  if (weight === 'think') {
    return (
      <g>
        <path
          d={`M${x} ${y - 7.2}L${x + 7.2} ${y}L${x} ${y + 7.2}L${x - 7.2} ${y}Z`}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
        <path d={`M${x} ${y - 7.2}L${x + 7.2} ${y}L${x} ${y + 7.2}Z`} fill="var(--ink)" />
      </g>
    );
  }
  return (
    <g>
      <circle cx={x} cy={y} r="6.2" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
      <circle cx={x} cy={y} r="1.7" fill="var(--ink)" />
    </g>
  );
}
