import { scaleLinear } from 'd3-scale';

import type { Schemas } from '../api/client';
import { FIG } from '../section/ink';
import { spokenDate } from '../ui/days';

type Sky = Schemas['SkyView'];

const LEFT = 30;
const RIGHT = 30;
const TOP = 16;
const BOTTOM = 20;

/** The last two weeks as they were, and the forecast of the next ten days, hatched. */
export function SkyChart({
  sky,
  width,
  height = 170,
}: {
  sky: Sky;
  width: number;
  height?: number;
}) {
  const days = [...sky.lately, ...sky.forecast];
  const past = sky.lately.length;
  const pitch = (width - LEFT - RIGHT) / Math.max(1, days.length);
  const low = Math.min(...days.map((d) => d.low));
  const high = Math.max(...days.map((d) => d.high), low + 1);
  const wet = Math.max(...days.map((d) => d.rain), sky.rainUnit === 'in' ? 0.5 : 10);
  const floor = height - BOTTOM;
  const y = scaleLinear([low, high], [floor, TOP]);
  const rain = (v: number) => (v / wet) * 0.5 * (floor - TOP);
  const text = { fontFamily: FIG, fontSize: 11, fill: 'var(--ink2)' };
  const x = (i: number) => LEFT + i * pitch;
  return (
    <figure>
      <svg width={width} height={height} role="img" aria-label="Weather: see the list below it">
        <defs>
          <pattern id="forecast" width="4" height="4" patternUnits="userSpaceOnUse">
            <rect width="4" height="4" fill="var(--paper)" />
            <path d="M0 4L4 0" stroke="var(--warm)" strokeWidth="1.2" />
          </pattern>
          <pattern id="forecast-rain" width="4" height="4" patternUnits="userSpaceOnUse">
            <rect width="4" height="4" fill="var(--paper)" />
            <path d="M0 4L4 0" stroke="var(--rain)" strokeWidth="1.2" />
          </pattern>
        </defs>
        {y.ticks(4).map((m) => (
          <g key={m}>
            <path d={`M${LEFT} ${y(m)}H${width - RIGHT}`} stroke="var(--rule2)" />
            <text {...text} x={LEFT - 4} y={y(m) + 4} textAnchor="end">
              {m}
            </text>
          </g>
        ))}
        <text {...text} x={2} y={11}>
          {sky.temperatureUnit}
        </text>
        <text {...text} x={width - 2} y={11} textAnchor="end">
          rain, {sky.rainUnit}
        </text>
        <text {...text} x={width - RIGHT + 4} y={floor - rain(wet) + 4}>
          {wet < 2 ? wet.toFixed(1) : Math.round(wet)}
        </text>
        {days.map((d, i) => (
          <g key={d.day}>
            <rect
              x={x(i) + 1}
              width={Math.max(1, pitch - 2)}
              y={floor - rain(d.rain)}
              height={rain(d.rain)}
              fill={i < past ? 'var(--rain)' : 'url(#forecast-rain)'}
              stroke="var(--rain)"
              strokeWidth={i < past ? 0 : 0.8}
            />
            <rect
              x={x(i) + pitch * 0.3}
              width={pitch * 0.4}
              y={y(d.high)}
              height={Math.max(2, y(d.low) - y(d.high))}
              fill={i < past ? 'var(--warm)' : 'url(#forecast)'}
              stroke="var(--warm)"
              strokeWidth="0.9"
            />
          </g>
        ))}
        <path
          d={`M${x(past)} ${TOP - 10}V${floor}`}
          stroke="var(--ink)"
          strokeWidth="1.4"
          strokeDasharray="3 2"
        />
        <text {...text} x={x(past) - 4} y={height - 6} textAnchor="end">
          as it was
        </text>
        <text {...text} x={x(past) + 4} y={height - 6}>
          forecast, hatched
        </text>
      </svg>
      <details className="text-[13px]">
        <summary className="cursor-pointer text-ink2">the days in words</summary>
        <ul className="fig mt-1 columns-2 text-[12.5px] max-[640px]:columns-1">
          {days.map((d, i) => (
            <li key={d.day}>
              {spokenDate(d.day, false)}
              {i < past ? '' : ' (forecast)'}: {d.text}
            </li>
          ))}
        </ul>
      </details>
    </figure>
  );
}
