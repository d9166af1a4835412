import type { Figure, Lot, Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { GroupMark } from '../ui/GroupMark';
import type { RateFigure } from './rates';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';

type Component = Schemas['ComponentEntry'];

const ZONES = [
  { id: 'whole', name: 'whole' },
  { id: 'row', name: 'row zone' },
  { id: 'middle', name: 'middle' },
];

const written = (f: Figure | undefined) => f && `${f.text} ${f.unit}`;

/** One species of the mix: its share or density, its lot, and what follows from them. */
export function MixRow({
  component: c,
  rate,
  method,
  pointer,
  lots,
  columns,
  zoned,
  onChange,
  onRemove,
}: {
  component: Component;
  /** What follows from it; nothing while it has no rate. */
  rate: Schemas['RateView'] | undefined;
  method: string;
  pointer: string;
  lots: Lot[];
  columns: RateFigure[];
  /** Whether row zones and middles are kept separate. */
  zoned: boolean;
  /** `held` while the hand still moves. */
  onChange: (change: Partial<Component>, held?: boolean) => void;
  onRemove: () => void;
}) {
  const { session, state, knowledge, us } = useOpenPlan();
  const s = knowledge.species.find((x) => x.id === c.species);
  const name = s?.name ?? c.species;
  return (
    <tr className="border-b border-rule2 text-right">
      <td className="py-0.5 text-left font-bold">
        <span className="flex items-center gap-1.5 leading-tight">
          {s && <GroupMark group={s.group} />} {name}
        </span>
      </td>
      <td className="text-left">
        {method === 'density' ? (
          <QuantityField
            hideLabel
            label={`${name} live seeds`}
            width="w-12"
            value={c.seeds}
            units={us ? ['/ft2', '/m2'] : ['/m2', '/ft2']}
            onChange={(q) => onChange({ seeds: q })}
            problem={problemAt(state.problems, `${pointer}/seeds`)}
          />
        ) : method === 'recipe' ? (
          <QuantityField
            hideLabel
            label={`${name} pure live seed`}
            width="w-12"
            value={c.rate}
            units={us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac']}
            onChange={(q) => onChange({ rate: q })}
            problem={problemAt(state.problems, `${pointer}/rate`)}
          />
        ) : (
          <span className="flex items-center gap-1">
            <input
              type="range"
              min={0}
              max={150}
              step={1}
              className="h-5 min-h-0 w-16 accent-[var(--ink)]"
              aria-label={`${name} share, by hand`}
              aria-valuetext={`${c.sharePercent ?? 0} % of the full rate`}
              value={Math.min(150, c.sharePercent ?? 0)}
              onChange={(e) => onChange({ sharePercent: Number(e.target.value) }, true)}
              onPointerUp={() => void session.flush()}
              onKeyUp={() => void session.flush()}
            />
            <NumberField
              hideLabel
              label={`${name} share`}
              width="w-11"
              value={c.sharePercent}
              max={300}
              suffix="%"
              onChange={(v) => onChange({ sharePercent: v })}
              problem={problemAt(state.problems, `${pointer}/sharePercent`)}
            />
          </span>
        )}
        {rate && (
          <span
            className="fig block text-[11.5px] leading-tight text-ink2"
            title={rate.full.source}
          >
            {method !== 'share' && `${rate.full.share} % of `}full {rate.full.words}
          </span>
        )}
        {zoned && (
          <SelectField
            hideLabel
            width="w-20"
            label={`${name} zone`}
            value={c.zone ?? 'whole'}
            options={ZONES}
            onChange={(z) => onChange({ zone: z === 'whole' ? undefined : z })}
          />
        )}
      </td>
      <td className="text-left">
        <SelectField
          hideLabel
          width="w-24"
          label={`${name} lot`}
          value={c.lotId ?? ''}
          empty="no lot"
          options={lots
            .filter((l) => l.species === c.species && !l.parts?.length)
            .map((l) => ({ id: l.id, name: l.label }))}
          onChange={(v) => onChange({ lotId: v || undefined })}
        />
        <span className="fig block text-[11.5px] leading-tight text-ink2">
          PLS {written(rate?.pls)}
        </span>
      </td>
      {columns.map((what) => (
        <td key={what} className={`px-1 ${what === 'bulk' ? 'font-bold' : ''}`}>
          <FigureText of={rate?.[what]} unit={false} />
          {what === 'cost' && (
            <span className="fig block text-[11.5px] leading-tight text-ink2">
              {written(rate?.bags)}
            </span>
          )}
        </td>
      ))}
      <td>
        <button
          type="button"
          className="link text-[13px]"
          aria-label={`Remove ${name}`}
          onClick={onRemove}
        >
          remove
        </button>
      </td>
    </tr>
  );
}
