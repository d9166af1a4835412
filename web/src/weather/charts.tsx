import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';

import { FIG } from '../section/ink';

const MONTHS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];
const LEFT = 40;
const TOP = 8;
const BOTTOM = 18;

interface Range {
  low: number;
  middle: number;
  high: number;
  text: string;
}

interface Series {
  name: string;
  values: Range[];
  ink: string;
  /** Bars stand from zero, bands are drawn as an area with its middle. */
  as: 'bars' | 'band';
}

/** Twelve months of one or two measures, with 1 year in 10 each way. */
export function MonthChart({
  title,
  unit,
  series,
  width,
  height = 150,
}: {
  title: string;
  unit: string;
  series: Series[];
  width: number;
  height?: number;
}) {
  const all = series.flatMap((s) => s.values.flatMap((v) => [v.low, v.high]));
  const bars = series.some((s) => s.as === 'bars');
  const low = Math.min(...all, ...(bars ? [0] : []));
  const high = Math.max(...all, low + 1);
  const y = scaleLinear([low, high], [height - BOTTOM, TOP]);
  const pitch = (width - LEFT - 6) / 12;
  const x = (m: number) => LEFT + (m + 0.5) * pitch;
  const band = area<Range>(
    (_, m) => x(m),
    (v) => y(v.low),
    (v) => y(v.high),
  );
  const middle = line<Range>(
    (_, m) => x(m),
    (v) => y(v.middle),
  );
  const text = { fontFamily: FIG, fontSize: 11, fill: 'var(--ink2)' };
  const words = series
    .map((s) => `${s.name}: ${s.values.map((v, i) => `${i + 1}. ${v.text}`).join(', ')} ${unit}`)
    .join('; ');
  return (
    <figure className="m-0">
      <figcaption className="flex items-baseline gap-3 text-[13.5px] font-bold">
        {title} <span className="fig text-[12px] font-normal text-ink2">{unit}</span>
        {series.length > 1 &&
          series.map((s, k) => (
            <span key={s.name} className="text-[12.5px] font-medium">
              <svg width="16" height="8" aria-hidden className="mr-1 inline-block">
                {s.as === 'bars' ? (
                  <rect width="7" height="8" x="4" fill={s.ink} />
                ) : (
                  <path
                    d="M0 4H16"
                    stroke={s.ink}
                    strokeWidth="2"
                    strokeDasharray={k === 0 ? undefined : '6 3'}
                  />
                )}
              </svg>
              {s.name}
            </span>
          ))}
      </figcaption>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={words}
      >
        {y.ticks(4).map((v) => (
          <g key={v}>
            <path d={`M${LEFT} ${y(v)}H${width - 6}`} stroke="var(--rule2)" strokeWidth="0.8" />
            <text {...text} x={LEFT - 6} y={y(v) + 4} textAnchor="end">
              {Number(v.toFixed(2))}
            </text>
          </g>
        ))}
        {series.map((s, k) =>
          s.as === 'bars' ? (
            <g key={s.name}>
              {s.values.map((v, m) => (
                <g key={m}>
                  <rect
                    x={x(m) - pitch * 0.28}
                    y={y(v.middle)}
                    width={pitch * 0.56}
                    height={Math.max(0, y(0) - y(v.middle))}
                    fill={s.ink}
                    fillOpacity="0.75"
                  />
                  <path
                    d={`M${x(m)} ${y(v.low)}V${y(v.high)}M${x(m) - 3} ${y(v.low)}h6M${x(m) - 3} ${y(v.high)}h6`}
                    stroke="var(--ink)"
                    strokeWidth="1"
                  />
                </g>
              ))}
            </g>
          ) : (
            <g key={s.name}>
              <path d={band(s.values) ?? ''} fill={s.ink} fillOpacity="0.16" />
              <path
                d={middle(s.values) ?? ''}
                stroke={s.ink}
                strokeWidth="2"
                strokeDasharray={k === 0 ? undefined : '6 3'}
                fill="none"
              />
            </g>
          ),
        )}
        {MONTHS.map((m, i) => (
          <text key={i} {...text} x={x(i)} y={height - 4} textAnchor="middle">
            {m}
          </text>
        ))}
      </svg>
    </figure>
  );
}
