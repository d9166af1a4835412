import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

import type { Schemas } from '../api/client';
import { FIG } from '../section/ink';
import { dayNumber, spokenDate } from '../ui/days';
import { months, timeScale } from '../section/scale';

type Judged = Schemas['Judged'];
type Tried = Schemas['Tried'];

const LEFT = 44;
const RIGHT = 14;
const TOP = 12;
const BOTTOM = 30;

interface Point {
  day: string;
  value: number;
  text: string;
}

/** The value of one figure by the day a thing is done. */
export function pointsOf(tried: Tried[], figureId: string): Point[] {
  return tried.flatMap((t) =>
    t.values
      .filter((v) => v.id === figureId)
      .map((v) => ({ day: t.day, value: v.value, text: v.text })),
  );
}

/** In words: what the chosen day, the planned one and the one with most of it gave. */
export function sentence(judged: Judged, points: Point[], unit: string): string {
  const at = (day: string) => points.find((p) => p.day === day);
  const done = at(judged.done);
  const planned = at(judged.planned);
  const most = points.reduce<Point | undefined>(
    (a, p) => (a === undefined || p.value > a.value ? p : a),
    undefined,
  );
  if (!done || !most) return 'not simulated';
  const same = judged.done === judged.planned;
  return [
    `${spokenDate(judged.done, false)}${same ? ', as planned,' : ''} gave ${done.text} ${unit}`,
    !same && planned ? `the plan’s ${spokenDate(judged.planned, false)} ${planned.text}` : '',
    most.day === judged.done
      ? 'no other day tried gave more'
      : `${spokenDate(most.day, false)} would have given most, ${most.text}`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** What other days would have given, with the chosen and the planned one marked by shape. */
export function DayCurve({
  judged,
  tried,
  figureId,
  label,
  unit,
  width,
  height = 150,
}: {
  judged: Judged;
  tried: Tried[];
  figureId: string;
  label: string;
  unit: string;
  width: number;
  height?: number;
}) {
  const points = pointsOf(tried, figureId);
  const words = sentence(judged, points, unit);
  if (points.length < 2) return <p className="text-ink2 italic">{words}</p>;
  const scale = timeScale(points[0]!.day, points[points.length - 1]!.day, LEFT, width - RIGHT);
  const low = Math.min(...points.map((p) => p.value));
  const high = Math.max(...points.map((p) => p.value));
  const room = Math.max(high - low, Math.abs(high) * 0.05, 1e-6);
  const [a, b] = [low - room * 0.15, high + room * 0.15];
  const y = scaleLinear([a, b], [height - BOTTOM, TOP]);
  const curve = line<Point>(
    (p) => scale.x(p.day),
    (p) => y(p.value),
  );
  const text = { fontFamily: FIG, fontSize: 11, fill: 'var(--ink2)' };
  const mark = (day: string) => points.find((p) => p.day === day);
  const done = mark(judged.done);
  const planned = mark(judged.planned);
  return (
    <figure>
      <svg width={width} height={height} role="img" aria-label={`${label} by the day: ${words}`}>
        {y.ticks(3).map((m) => (
          <g key={m}>
            <path d={`M${LEFT} ${y(m)}H${width - RIGHT}`} stroke="var(--rule2)" />
            <text {...text} x={LEFT - 5} y={y(m) + 4} textAnchor="end">
              {m}
            </text>
          </g>
        ))}
        {months(scale).map(
          (t) =>
            t.x >= LEFT && (
              <g key={t.x}>
                <path d={`M${t.x} ${height - BOTTOM}v5`} stroke="var(--ink2)" />
                <text {...text} x={t.x + 3} y={height - BOTTOM + 13}>
                  {t.label}
                </text>
              </g>
            ),
        )}
        <path d={`M${LEFT} ${height - BOTTOM}H${width - RIGHT}`} stroke="var(--ink2)" />
        <path d={curve(points) ?? ''} stroke="var(--ink)" strokeWidth="1.4" fill="none" />
        {points.map((p) => (
          <circle key={p.day} cx={scale.x(p.day)} cy={y(p.value)} r="1.8" fill="var(--ink)" />
        ))}
        {planned && judged.planned !== judged.done && (
          <g>
            <circle
              cx={scale.x(planned.day)}
              cy={y(planned.value)}
              r="5.5"
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="1.6"
            />
            <text {...text} x={scale.x(planned.day)} y={height - 4} textAnchor="middle">
              plan
            </text>
          </g>
        )}
        {done && (
          <g>
            <path
              d={`M${scale.x(done.day)} ${y(done.value) - 7}l6 11h-12z`}
              fill="var(--hand)"
              stroke="var(--paper)"
            />
            {(!planned ||
              judged.planned === judged.done ||
              Math.abs(dayNumber(planned.day) - dayNumber(done.day)) * 8 > 30) && (
              <text
                {...text}
                x={scale.x(done.day)}
                y={height - 4}
                textAnchor="middle"
                fontWeight={700}
                fill="var(--ink)"
              >
                done
              </text>
            )}
          </g>
        )}
      </svg>
      <figcaption className="text-[13px]">{words}.</figcaption>
    </figure>
  );
}
