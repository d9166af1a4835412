import type { Field } from '../api/client';
import { FIG } from '../section/ink';
import { barFor, sheetFor } from './outline';

const WIDTH = 330;
const HEIGHT = 230;

const ZONE_MARK: Record<string, string> = {
  'wet-hollow': 'M0 4c2-3 4-3 6 0s4 3 6 0',
  'cold-hollow': 'M6 0v12M0 6h12M2 2l8 8M10 2l-8 8',
  compacted: 'M0 3h12M0 7h12M0 11h12',
  'weed-patch': 'M6 12V4M6 8L2 4M6 8l4-4',
  buffer: 'M0 0l12 12M0 6l6 6M6 0l6 6',
  other: 'M6 6h0',
};

/** The field's outline drawn to scale, north up: holes, zones, which way it slopes, a scale bar. No map from elsewhere. */
export function FieldMap({ field, us, area }: { field: Field; us: boolean; area: string }) {
  if (!field.boundary) return null;
  const zones = field.zones ?? [];
  const sheet = sheetFor([field.boundary, ...zones.map((z) => z.outline)], WIDTH, HEIGHT, 26);
  const bar = barFor(sheet.pxPerM, WIDTH, us);
  const slope = field.slopePercent;
  const towards = field.slopeTowards;
  const words = [
    `${field.name}, ${area}, outline to scale, north up`,
    ...(slope !== undefined && towards !== undefined
      ? [`slopes ${slope} % towards ${Math.round(towards)} degrees`]
      : []),
    ...zones.map((z) => `zone ${z.name}: ${z.kind.replace('-', ' ')}`),
  ];
  const text = { fontFamily: FIG, fontSize: 11.5, fill: 'var(--ink)' };
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={words.join('; ')}
      className="max-w-full border border-rule2 bg-paper2"
    >
      <defs>
        {Object.entries(ZONE_MARK).map(([kind, d]) => (
          <pattern
            key={kind}
            id={`zone-${kind}`}
            width="14"
            height="14"
            patternUnits="userSpaceOnUse"
          >
            <path
              d={d}
              stroke="var(--ink)"
              strokeWidth={kind === 'other' ? 3 : 1}
              strokeLinecap="round"
              fill="none"
            />
          </pattern>
        ))}
      </defs>
      <path
        d={sheet.path(field.boundary)}
        fill="var(--soil)"
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {zones.map((z) => {
        const [x, y] = sheet.middle(z.outline);
        return (
          <g key={z.id}>
            <path
              d={sheet.path(z.outline)}
              fill={`url(#zone-${z.kind})`}
              fillOpacity="0.55"
              stroke="var(--ink)"
              strokeWidth="0.9"
              strokeDasharray="4 2"
            />
            <text
              x={x}
              y={y}
              textAnchor="middle"
              {...text}
              stroke="var(--soil)"
              strokeWidth="3.5"
              paintOrder="stroke"
            >
              {z.name}
            </text>
          </g>
        );
      })}
      {slope !== undefined && towards !== undefined && (
        <g transform={`translate(${WIDTH / 2} ${HEIGHT / 2}) rotate(${towards})`}>
          <path d="M0 26V-22M-6 -13L0 -24L6 -13" stroke="var(--hand)" strokeWidth="2" fill="none" />
          <text
            {...text}
            x="8"
            y="4"
            fontWeight="700"
            transform={`rotate(${-towards} 8 4)`}
            stroke="var(--soil)"
            strokeWidth="3.5"
            paintOrder="stroke"
          >
            {slope} % down
          </text>
        </g>
      )}
      <g transform={`translate(${WIDTH - 18} 28)`}>
        <path d="M0 -17L5 0L0 -4L-5 0Z" fill="var(--ink)" />
        <text {...text} y="12" textAnchor="middle" fontWeight="700">
          N
        </text>
      </g>
      <path
        d={`M12 ${HEIGHT - 16}v5H${12 + bar.px}v-5`}
        stroke="var(--ink)"
        strokeWidth="1.4"
        fill="none"
      />
      <text {...text} x={12 + bar.px / 2} y={HEIGHT - 17} textAnchor="middle">
        {bar.text}
      </text>
    </svg>
  );
}
