import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useId } from 'react';

import { FIG } from '../../section/ink';
import type { MixView } from './asked';

const W = 400;
const H = 210;
const M = { left: 40, right: 14, top: 18, foot: 34 };

/** Cost against what the aims get: circles with the number of species, the adviser's own mix a filled lozenge. */
export function FrontierChart({
  points,
  own,
  chosen,
  onChoose,
}: {
  points: MixView[];
  own: MixView | undefined;
  chosen: MixView | undefined;
  onChoose: (m: MixView) => void;
}) {
  const id = useId();
  const all = own ? [...points, own] : points;
  const cost = Math.max(1, ...all.map((p) => p.cost)) * 1.06;
  const best = Math.max(0.01, ...all.map((p) => p.score * 100)) * 1.08;
  const x = scaleLinear([0, cost], [M.left, W - M.right]);
  const y = scaleLinear([0, best], [H - M.foot, M.top]).clamp(true);
  const curve = line<MixView>(
    (p) => x(p.cost),
    (p) => y(p.score * 100),
  );
  const text = { fontFamily: FIG, fontSize: 11, fill: 'var(--ink)' };
  return (
    <figure>
      <figcaption id={id} className="text-[13px]">
        <b>Cost against the aims</b>{' '}
        <i className="text-ink2">
          worth to the aims, by their weights; the first half of each counts most; in the circle how
          many species
        </i>
      </figcaption>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full max-w-[460px]"
        role="group"
        aria-labelledby={id}
      >
        {y.ticks(5).map((v) => (
          <g key={v}>
            <path d={`M${M.left} ${y(v)}H${W - M.right}`} stroke="var(--rule2)" />
            <text x={M.left - 6} y={y(v) + 4} textAnchor="end" {...text}>
              {v}
            </text>
          </g>
        ))}
        <path
          d={`M${M.left} ${H - M.foot}H${W - M.right}`}
          stroke="var(--ink)"
          strokeWidth="1.25"
        />
        {x.ticks(5).map((v) => (
          <text key={v} x={x(v)} y={H - M.foot + 15} textAnchor="middle" {...text}>
            {v}
          </text>
        ))}
        <text x={W - M.right} y={H - 4} textAnchor="end" {...text}>
          {all[0]?.costUnit}
        </text>
        <path d={curve(points) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
        {points.map((p, i) => (
          <g
            key={i}
            role="button"
            tabIndex={0}
            aria-label={`${p.shares.length} species, ${p.costText} ${p.costUnit}, ${Math.round(p.score * 100)} %`}
            aria-pressed={p === chosen}
            className="cursor-pointer"
            onClick={() => onChoose(p)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' || e.key === ' ') {
                e.preventDefault();
                onChoose(p);
              }
            }}
          >
            <circle cx={x(p.cost)} cy={y(p.score * 100)} r="12" fill="transparent" />
            <circle
              cx={x(p.cost)}
              cy={y(p.score * 100)}
              r="8.5"
              fill={p === chosen ? 'var(--ink)' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth="1.4"
            />
            <text
              x={x(p.cost)}
              y={y(p.score * 100) + 4}
              textAnchor="middle"
              {...text}
              fill={p === chosen ? 'var(--paper)' : 'var(--ink)'}
            >
              {p.shares.length}
            </text>
          </g>
        ))}
        {own && (
          <g>
            <path
              d={`M${x(own.cost)} ${y(own.score * 100) - 7}l7 7l-7 7l-7 -7Z`}
              fill="var(--hand)"
            />
            <text
              x={Math.min(W - 60, x(own.cost) + 11)}
              y={y(own.score * 100) + 16}
              {...text}
              fontWeight="700"
              fill="var(--hand)"
            >
              yours, {own.costText}
            </text>
          </g>
        )}
      </svg>
    </figure>
  );
}
