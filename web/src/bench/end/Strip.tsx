import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';

import { dayNumber } from '../../ui/days';
import type { Point, Row } from './asked';

const HEIGHT = 32;
const PAD = 4;

/** Marks that go through all strips: the day of the plan, the one looked at, the planting. */
export interface Marks {
  planned?: string;
  looked: string;
  planting?: string;
}

export function MarkLines({
  x,
  height,
  marks,
}: {
  x: ScaleLinear<number, number>;
  height: number;
  marks: Marks;
}) {
  const at = (day: string) => x(dayNumber(day));
  return (
    <>
      {marks.planting && (
        <path
          d={`M${at(marks.planting)} 0V${height}`}
          stroke="var(--ink3)"
          strokeDasharray="2 3"
          strokeWidth="1.25"
        />
      )}
      {marks.looked !== marks.planned && (
        <path d={`M${at(marks.looked)} 0V${height}`} stroke="var(--ink)" strokeWidth="1.5" />
      )}
      {marks.planned && (
        <path d={`M${at(marks.planned)} 0V${height}`} stroke="var(--hand)" strokeWidth="2" />
      )}
    </>
  );
}

/** One consequence over the days: its middle, and the band of 8 years in 10. */
export function Strip({
  row,
  x,
  width,
  marks,
}: {
  row: Row;
  x: ScaleLinear<number, number>;
  width: number;
  marks: Marks;
}) {
  const [start] = x.domain();
  const points = row.points.filter((p) => dayNumber(p.on) >= (start ?? 0));
  const lows = points.map((p) => p.low);
  const highs = points.map((p) => p.high);
  const percent = row.unit === '%';
  const low = percent ? 0 : Math.min(...lows, row.unit.includes('°') ? Infinity : 0);
  const high = percent ? 100 : Math.max(...highs, low + 1e-6);
  const y = scaleLinear([low, high], [HEIGHT - PAD, PAD]);
  const px = (p: Point) => x(dayNumber(p.on));
  const band = area<Point>(
    px,
    (p) => y(p.low),
    (p) => y(p.high),
  );
  const middle = line<Point>(px, (p) => y(p.middle));
  const struck = row.note !== undefined;
  return (
    <svg width={width} height={HEIGHT} aria-hidden className="block">
      <path d={`M0 ${y(Math.max(low, 0))}H${width}`} stroke="var(--rule)" strokeWidth="0.75" />
      <path d={band(points) ?? ''} fill="var(--ink)" opacity={struck ? 0.06 : 0.13} />
      <path
        d={middle(points) ?? ''}
        fill="none"
        stroke={struck ? 'var(--ink3)' : 'var(--ink)'}
        strokeWidth="1.75"
        strokeDasharray={struck ? '3 3' : undefined}
      />
      <MarkLines x={x} height={HEIGHT} marks={marks} />
    </svg>
  );
}
