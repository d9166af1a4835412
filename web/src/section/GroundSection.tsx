import { useMemo } from 'react';

import type { Evaluation } from '../api/client';
import { layOut, type DisplayList, type Frame, type Pin } from './geometry';
import { spokenDate } from './scale';

const FIG = "'Sofia Sans Semi Condensed', sans-serif";
const TEXT = "'Alegreya Sans', sans-serif";

const ink = (g: string) => `var(--${g})`;

function Patterns({ prefix }: { prefix: string }) {
  const p = (id: string, size: number, body: React.ReactNode, turn?: string) => (
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
        <path d="M1.100 0V3.200" stroke={ink('cool-grass')} strokeWidth="0.950" />,
      )}
      {p(
        'warm-grass',
        4.6,
        <path d="M0 2.300H4.600" stroke={ink('warm-grass')} strokeWidth="1.250" />,
        'rotate(-52)',
      )}
      {p(
        'cool-legume',
        4.4,
        <g fill={ink('cool-legume')}>
          <circle cx="1.100" cy="1.100" r="0.980" />
          <circle cx="3.300" cy="3.300" r="0.980" />
        </g>,
      )}
      {p(
        'warm-legume',
        6.4,
        <g fill="none" stroke={ink('warm-legume')} strokeWidth="0.900">
          <circle cx="1.700" cy="1.700" r="1.250" />
          <circle cx="4.900" cy="4.900" r="1.250" />
        </g>,
      )}
      {p(
        'brassica',
        4.4,
        <path d="M0 0L4.400 4.400M4.400 0L0 4.400" stroke={ink('brassica')} strokeWidth="0.800" />,
      )}
      {p(
        'broadleaf',
        6.6,
        <path
          d="M0.200 1.700H3.200M1.700 0.200V3.200M3.500 5H6.500M5 3.500V6.500"
          stroke={ink('broadleaf')}
          strokeWidth="0.950"
        />,
      )}
      {p(
        'straw',
        9,
        <path
          d="M0 2L4 1M3 5L8 4.500M1 8L5 7M6 1.500L9 2.200M6 7.500L9 8.500"
          stroke={ink('strawink')}
          strokeWidth="0.700"
          fill="none"
        />,
      )}
    </defs>
  );
}

function Stands({ d, prefix, thin }: { d: DisplayList; prefix: string; thin?: boolean }) {
  return (
    <>
      {d.stands.map((s) => (
        <g key={s.key}>
          <path
            d={s.d}
            fill={s.group ? `var(--${s.group}-wash)` : 'var(--paper)'}
            stroke={s.group ? ink(s.group) : 'var(--ink)'}
            strokeWidth={thin ? 0.7 : 1}
            strokeLinejoin="round"
          />
          {s.group && <path d={s.d} fill={`url(#${prefix}-${s.group})`} />}
        </g>
      ))}
    </>
  );
}

function Ground({ d }: { d: DisplayList }) {
  return (
    <>
      <rect
        x={d.scale.x0}
        y={d.ground}
        width={d.scale.x1 - d.scale.x0}
        height={d.bottom - d.ground}
        fill="var(--soil)"
      />
      {d.rootStrokes.map((s) => (
        <path
          key={s.key}
          d={s.d}
          fill="none"
          stroke="var(--root)"
          strokeWidth={s.fibrous ? 0.6 : 1}
          opacity="0.800"
        />
      ))}
    </>
  );
}

function PinMark({ pin, d }: { pin: Pin; d: DisplayList }) {
  const y = d.bottom + 24 + Math.min(1, pin.row) * 13;
  const shape =
    pin.kind === 'sow'
      ? `M${pin.x - 4.5} ${y - 8}H${pin.x + 4.5}L${pin.x} ${y}Z`
      : `M${pin.x - 4} ${y - 8}H${pin.x + 4}V${y}H${pin.x - 4}Z`;
  const solid = pin.done || pin.kind === 'end';
  return (
    <g>
      <path
        d={`M${pin.x} ${d.ground}V${y - 8}`}
        stroke="var(--ink)"
        strokeWidth="0.800"
        fill="none"
      />
      <path
        d={shape}
        fill={solid ? 'var(--ink)' : 'var(--paper)'}
        stroke="var(--ink)"
        strokeWidth="1.100"
      />
      {pin.row < 2 && (
        <text x={pin.x + 8} y={y} fontFamily={FIG} fontSize="11.500" fill="var(--ink)">
          {pin.text}
        </text>
      )}
    </g>
  );
}

/** The section in words, for those who do not see it. */
function inWords(s: Evaluation['section']) {
  if (s.stands.length === 0) return 'Ground section: nothing stands here yet.';
  const stands = s.stands.map(
    (x) =>
      `${x.label}, ${x.cover ? 'cover' : 'cash crop'}, ${spokenDate(x.from)} to ${x.open ? 'no end set' : spokenDate(x.to)}`,
  );
  const passes = s.passes
    .filter((p) => p.share > 0)
    .map((p) => `${p.name} ${spokenDate(p.date)}, ${Math.round(p.depthCm)} cm deep`);
  return `Ground section. ${stands.join('. ')}. Passes: ${passes.join('; ') || 'none'}.`;
}

/** A field's rotation as a cut through the ground over time. */
export function GroundSection({
  section,
  width,
  height,
  us,
  id = 'section',
}: {
  section: Evaluation['section'];
  width: number;
  height: number;
  us: boolean;
  id?: string;
}) {
  const d = useMemo(() => layOut(section, { width, height, us }), [section, width, height, us]);
  const empty = section.stands.length === 0;
  return (
    <svg
      id={id}
      xmlns="http://www.w3.org/2000/svg"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={inWords(section)}
    >
      <Patterns prefix={id} />
      <Ground d={d} />
      {d.tileY !== undefined && (
        <g>
          {Array.from({ length: 9 }, (_, i) => (
            <circle
              key={i}
              cx={d.scale.x0 + ((i + 0.5) * (d.scale.x1 - d.scale.x0)) / 9}
              cy={d.tileY}
              r="3.200"
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="1.100"
            />
          ))}
          <text
            x={d.scale.x1 + 4}
            y={d.tileY + 4}
            fontFamily={FIG}
            fontSize="11"
            fill="var(--ink2)"
          >
            tile
          </text>
        </g>
      )}
      <Stands d={d} prefix={id} />
      {d.residues.map((s) => (
        <g key={s.key}>
          <path d={s.d} fill="var(--straw)" stroke="var(--strawink)" strokeWidth="0.600" />
          <path d={s.d} fill={`url(#${id}-straw)`} />
        </g>
      ))}
      <path
        d={`M${d.scale.x0} ${d.ground}H${d.scale.x1}`}
        stroke="var(--ink)"
        strokeWidth="1.600"
        fill="none"
      />
      {d.notches.map((n) => (
        <path key={n.key} d={n.d} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.100" />
      ))}
      {d.heights.map((h) => (
        <g key={h.text + h.y}>
          <path
            d={`M${d.scale.x0 - 5} ${h.y}H${d.scale.x0}`}
            stroke="var(--ink)"
            strokeWidth="0.900"
            fill="none"
          />
          <text
            x={d.scale.x0 - 8}
            y={h.y + 4}
            fontFamily={FIG}
            fontSize="11"
            fill="var(--ink2)"
            textAnchor="end"
          >
            {h.text}
          </text>
        </g>
      ))}
      <path
        d={`M${d.scale.x0} ${d.bottom}H${d.scale.x1}`}
        stroke="var(--ink)"
        strokeWidth="1.250"
        fill="none"
      />
      {d.ticks.map((t) => (
        <g key={t.x}>
          <path
            d={`M${t.x} ${d.bottom}V${d.bottom + (t.year ? 13 : 5)}`}
            stroke="var(--ink)"
            strokeWidth={t.year ? 1.5 : 0.9}
            fill="none"
          />
          <text
            x={t.year ? t.x + 4 : t.x + t.width / 2}
            y={d.bottom + 12}
            fontFamily={FIG}
            fontSize={t.year ? 12 : 11}
            fontWeight={t.year ? 700 : 400}
            fill={t.year ? 'var(--ink)' : 'var(--ink2)'}
            textAnchor={t.year ? 'start' : 'middle'}
          >
            {t.label}
          </text>
        </g>
      ))}
      {d.pins.map((p) => (
        <PinMark key={p.key} pin={p} d={d} />
      ))}
      {d.todayX !== undefined && (
        <g>
          <path
            d={`M${d.todayX - 1.2} 16V${d.bottom}M${d.todayX + 1.2} 16V${d.bottom}`}
            stroke="var(--ink)"
            strokeWidth="0.800"
            fill="none"
          />
          <text
            x={d.todayX}
            y="12"
            fontFamily={FIG}
            fontSize="11.500"
            fontWeight="700"
            fill="var(--ink)"
            textAnchor="middle"
          >
            today, {spokenDate(section.today)}
          </text>
        </g>
      )}
      {d.labels.map((l) => (
        <text
          key={l.key}
          x={l.x}
          y={l.y}
          fontFamily={TEXT}
          fontSize="13"
          fontWeight={l.italic ? 500 : 700}
          fontStyle={l.italic ? 'italic' : 'normal'}
          fill="var(--ink)"
          stroke="var(--paper)"
          strokeWidth="3"
          paintOrder="stroke"
          textAnchor={l.anchor}
        >
          {l.text}
        </text>
      ))}
      {empty && (
        <text
          x={(d.scale.x0 + d.scale.x1) / 2}
          y={d.ground - 14}
          fontFamily={TEXT}
          fontSize="15"
          fontStyle="italic"
          fill="var(--ink2)"
          textAnchor="middle"
        >
          Put the first crop here: step Rotation
        </text>
      )}
      {!empty && (
        <text
          x={d.scale.x1}
          y="12"
          fontFamily={TEXT}
          fontSize="12.500"
          fontStyle="italic"
          fill="var(--ink2)"
          textAnchor="end"
        >
          outlines of typical height, not a forecast
        </text>
      )}
    </svg>
  );
}

/** The section as a row of a list, on a time axis shared by all rows. */
export function SectionRow({
  section,
  frame,
  id,
}: {
  section: Evaluation['section'];
  frame: Frame;
  id: string;
}) {
  const d = useMemo(() => layOut(section, { ...frame, row: true }), [section, frame]);
  return (
    <svg
      width={frame.width}
      height={frame.height}
      viewBox={`0 0 ${frame.width} ${frame.height}`}
      role="img"
      aria-label={inWords(section)}
    >
      <Patterns prefix={id} />
      <Ground d={d} />
      <Stands d={d} prefix={id} thin />
      {d.residues.map((s) => (
        <path key={s.key} d={s.d} fill="var(--straw)" />
      ))}
      <path d={`M0 ${d.ground}H${d.width}`} stroke="var(--ink)" strokeWidth="1" fill="none" />
      {d.notches.map((n) => (
        <path key={n.key} d={n.d} fill="var(--paper)" stroke="var(--ink)" strokeWidth="0.800" />
      ))}
      {d.todayX !== undefined && (
        <path
          d={`M${d.todayX} 0V${d.height}`}
          stroke="var(--ink)"
          strokeWidth="1.400"
          fill="none"
        />
      )}
    </svg>
  );
}
