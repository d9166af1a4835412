import { FigureText } from '../../plan/FigureText';
import type { Reach } from './asked';

const MARK: Record<Reach['verdict'], string> = {
  well: '●●',
  'in part': '●○',
  'too little': '○○',
  'not here': '○○',
};

/** How far an aim can be reached, and by which species alone at their full rate. */
export function Reached({ reach }: { reach: Reach | undefined }) {
  if (!reach) return null;
  return (
    <span className="block text-[13px] leading-snug">
      <span title={reach.wanted}>
        <span aria-hidden className="fig mr-1 tracking-tight">
          {MARK[reach.verdict]}
        </span>
        <b>{reach.verdict}</b>
      </span>
      {reach.by.length > 0 && (
        <span className="text-ink2">
          {' · '}
          {reach.by.map((b, i) => (
            <span key={b.species}>
              {i > 0 && ', '}
              {b.name.toLowerCase()} <FigureText of={b.gives} unit={i === reach.by.length - 1} />
            </span>
          ))}
        </span>
      )}
      <span className="block text-[12px] text-ink2 italic">
        {reach.measure.toLowerCase()}: {reach.wanted}
      </span>
      {reach.said && <span className="block text-ink2">{reach.said}</span>}
    </span>
  );
}
