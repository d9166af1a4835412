import { memo } from 'react';

import { GROUP_SHAPES } from '../ui/groupShapes';
import type { DisplayList } from './displayList';
import { inkOf, Word } from './ink';

/** How much of the water's ink each level takes, dry to wet. */
const WATER_INK = [0, 0.07, 0.15, 0.24, 0.34, 0.46];

type Layer = { d: DisplayList; prefix: string };

/** Soil, roots, drains. */
export const Ground = memo(function Ground({ d }: { d: DisplayList }) {
  const { x0, x1 } = d.scale;
  return (
    <>
      <rect
        x={x0}
        y={d.ground}
        width={x1 - x0}
        height={Math.max(0, d.bottom - d.ground)}
        fill="var(--soil)"
      />
      {d.water.map(
        (path, level) =>
          path && (
            <path
              key={`water ${level}`}
              d={path}
              fill="var(--wet)"
              fillOpacity={WATER_INK[level]}
            />
          ),
      )}
      {d.roots.map((s) => (
        <path
          key={s.key}
          d={s.d}
          fill="none"
          stroke="var(--root)"
          strokeWidth={s.tap ? 1.1 : 0.65}
          strokeOpacity={s.cover ? 0.85 : 0.7}
        />
      ))}
      {d.layers.map((y) => (
        <path
          key={y}
          d={`M${x0} ${y}H${x1}`}
          stroke="var(--soilrule)"
          strokeWidth="0.8"
          strokeDasharray="6 3 1.5 3"
          fill="none"
        />
      ))}
      {d.panY !== undefined && (
        <path
          d={Array.from(
            { length: Math.floor((x1 - x0) / 7) },
            (_, i) => `M${x0 + i * 7} ${d.panY}h4`,
          ).join('')}
          stroke="var(--soilrule)"
          strokeWidth="2.2"
          fill="none"
        />
      )}
      {d.tileY !== undefined &&
        Array.from({ length: 13 }, (_, i) => (
          <circle
            key={i}
            cx={x0 + ((i + 0.5) * (x1 - x0)) / 13}
            cy={d.tileY}
            r="3.1"
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth="1.1"
          />
        ))}
    </>
  );
});

/** What stands: crops with an ink outline, covers in their group's wash, what frost killed in straw. */
export const Stands = memo(function Stands({ d, prefix, thin }: Layer & { thin?: boolean }) {
  return (
    <>
      {d.dead.map((s) => (
        <g key={s.key}>
          <path d={s.d} fill="var(--paper)" fillOpacity="0.75" />
          <path
            d={s.d}
            fill={`url(#${prefix}-straw)`}
            stroke="var(--strawink)"
            strokeWidth="0.6"
            strokeDasharray="2 1.4"
          />
        </g>
      ))}
      {d.stands.map((s) => {
        const line = s.cover ? inkOf(s.group) : 'var(--ink)';
        return (
          <g key={s.key} data-stand={s.standId}>
            <path d={s.body} fill={s.cover ? `var(--${s.group}-wash)` : 'var(--paper)'} />
            <path
              d={s.body}
              fill={`url(#${prefix}-${s.group})`}
              stroke={line}
              strokeWidth={thin ? 0.7 : s.cover ? 0.9 : 1}
              strokeLinejoin="round"
            />
            {!thin && s.fine && (
              <path d={s.fine} fill="none" stroke={line} strokeWidth="0.75" strokeOpacity="0.75" />
            )}
            {!thin && s.heads && <path d={s.heads} fill="var(--paper)" stroke={line} />}
          </g>
        );
      })}
      {d.bands.map((b) => (
        <path
          key={b.key}
          d={b.d}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="0.9"
          strokeDasharray="1.5 3"
        />
      ))}
    </>
  );
});

/** Residue on the line, the line itself, and the cuts of the passes. */
export const Surface = memo(function Surface({ d, prefix, thin }: Layer & { thin?: boolean }) {
  return (
    <>
      {d.residues.map((s) => (
        <g key={s.key}>
          <path
            d={s.d}
            fill="var(--straw)"
            stroke="var(--strawink)"
            strokeWidth={thin ? 0.3 : 0.6}
          />
          {!thin && <path d={s.d} fill={`url(#${prefix}-straw)`} />}
        </g>
      ))}
      <path
        d={`M${d.scale.x0} ${d.ground}H${d.scale.x1}`}
        stroke="var(--ink)"
        strokeWidth={thin ? 1 : 1.6}
        fill="none"
      />
      {d.notches.map((n) => (
        <path
          key={n.key}
          d={n.d}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={thin ? 0.8 : 1.1}
        >
          <title>{n.text}</title>
        </path>
      ))}
    </>
  );
});

/** Months and years on the foot of the section. */
export const TimeAxis = memo(function TimeAxis({ d }: { d: DisplayList }) {
  return (
    <>
      <path
        d={`M${d.scale.x0} ${d.bottom}H${d.scale.x1}`}
        stroke="var(--ink)"
        strokeWidth="1.25"
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
          <Word
            x={t.year ? t.x + 4 : t.x + t.width / 2}
            y={d.bottom + 12}
            size={t.year ? 12 : 11}
            weight={t.year ? 700 : 400}
            fill={t.year ? 'var(--ink)' : 'var(--ink2)'}
            anchor={t.year ? 'start' : 'middle'}
          >
            {t.label}
          </Word>
        </g>
      ))}
    </>
  );
});

/** The usual frost seasons: ticks from the first autumn frost to the last of spring. */
export const Frosts = memo(function Frosts({ d }: { d: DisplayList }) {
  const y = 27;
  return (
    <>
      <Word x={d.scale.x0 - 8} y={y} fill="var(--ink2)" anchor="end">
        frost
      </Word>
      <path
        d={`M${d.scale.x0} ${y}H${d.scale.x1}`}
        stroke="var(--rule)"
        strokeWidth="0.75"
        fill="none"
      />
      {d.frosts.map((f) => {
        let ticks = '';
        for (let x = f.x0 + 2; x < f.x1; x += 3.4) {
          const edge = Math.min(x - f.x0, f.x1 - x) / 26;
          ticks += `M${Math.round(x * 10) / 10} ${y}v-${Math.round((2.4 + 5 * Math.min(1, edge)) * 10) / 10}`;
        }
        return (
          <g key={f.x0}>
            <path d={ticks} stroke="var(--ink2)" strokeWidth="1.1" fill="none" />
            {f.x1 - f.x0 > 110 && (
              <Word x={(f.x0 + f.x1) / 2} y={y + 11} size={11} fill="var(--ink2)" anchor="middle">
                usual, {f.text}
              </Word>
            )}
          </g>
        );
      })}
      {d.frosts.length === 0 && (
        <Word x={d.scale.x0 + 6} y={y - 4} text italic size={12.5} fill="var(--ink2)">
          usual frost dates are not entered
        </Word>
      )}
    </>
  );
});

/** Names over the stands, the depth ruler, drains named, windows measured. */
export const Names = memo(function Names({ d, inHand }: { d: DisplayList; inHand?: string }) {
  return (
    <>
      {d.heights.map((h) => (
        <g key={h.text + h.y}>
          <path
            d={`M${d.scale.x0 - 5} ${h.y}H${d.scale.x0}`}
            stroke="var(--ink)"
            strokeWidth="0.9"
            fill="none"
          />
          <Word x={d.scale.x0 - 8} y={h.y + 4} fill="var(--ink2)" anchor="end">
            {h.text}
          </Word>
        </g>
      ))}
      {d.tileY !== undefined && (
        <Word x={d.scale.x1 + 5} y={d.tileY + 4} fill="var(--ink2)">
          tile
        </Word>
      )}
      {d.panY !== undefined && (
        <Word x={d.scale.x1 + 5} y={d.panY + 4} weight={700} fill="var(--ink2)">
          pan
        </Word>
      )}
      {d.windows.map((w) => {
        const held = w.cropId === inHand;
        const y = d.skyTop;
        const middle = (w.x0 + w.x1) / 2;
        const half = w.x1 - w.x0 > 92 ? 44 : 0;
        return (
          <g key={w.key}>
            <path
              d={`M${w.x0} ${y - 5}v10M${w.x1} ${y - 5}v10M${w.x0} ${y}H${middle - half}M${middle + half} ${y}H${w.x1}`}
              stroke="var(--ink)"
              strokeWidth={held ? 1.6 : 0.75}
              fill="none"
            />
            {half > 0 && (
              <Word x={middle} y={y + 4} size={11.5} weight={held ? 700 : 400} anchor="middle">
                {w.text}
              </Word>
            )}
          </g>
        );
      })}
      {d.labels.map((l) => (
        <g key={l.key}>
          <Word
            x={l.x}
            y={l.y}
            text
            size={13}
            weight={l.cover ? 500 : 700}
            italic={l.cover}
            anchor="middle"
            halo
          >
            {l.text}
          </Word>
          {(l.groups?.length ?? 0) > 1 &&
            l.groups?.map((g, i) => {
              const s = GROUP_SHAPES[g];
              const x = l.x + l.text.length * 3 + 8 + i * 13;
              return (
                <path
                  key={i}
                  transform={`translate(${x} ${l.y - 10.5}) scale(0.85)`}
                  d={s.d}
                  fill={s.stroke ? 'none' : inkOf(g)}
                  stroke={s.stroke ? inkOf(g) : 'none'}
                  strokeWidth="2"
                />
              );
            })}
        </g>
      ))}
    </>
  );
});
