import type { Lot, Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { GroupMark } from '../ui/GroupMark';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';

type Component = Schemas['ComponentEntry'];

/** One species of the mix: its share or density, its lot, and what follows from them. */
export function MixRow({
  coverId,
  component: c,
  method,
  pointer,
  lots,
  columns,
  onChange,
  onRemove,
}: {
  coverId: string;
  component: Component;
  method: string;
  pointer: string;
  lots: Lot[];
  columns: string[];
  onChange: (change: Partial<Component>) => void;
  onRemove: () => void;
}) {
  const { state, knowledge, us } = useOpenPlan();
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
        ) : (
          <NumberField
            hideLabel
            label={`${name} share`}
            width="w-12"
            value={c.sharePercent}
            max={300}
            suffix="%"
            onChange={(v) => onChange({ sharePercent: v })}
            problem={problemAt(state.problems, `${pointer}/sharePercent`)}
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
            .filter((l) => l.species === c.species)
            .map((l) => ({ id: l.id, name: l.label }))}
          onChange={(v) => onChange({ lotId: v || undefined })}
        />
      </td>
      {columns.map((what) => (
        <td key={what} className={`px-1 ${what === 'bulk' ? 'font-bold' : ''}`}>
          <FigureText id={`mix/${coverId}/${c.species}/${what}`} unit={false} />
        </td>
      ))}
      <td>
        <button
          type="button"
          className="link text-[13px]"
          aria-label={`Take ${name} out`}
          onClick={onRemove}
        >
          out
        </button>
      </td>
    </tr>
  );
}
