import type { Figure } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';
import { setMembers, type Of } from '../../plan/edit';
import { NumberField, problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { tidy } from '../../ui/tidy';

type Sow = Of<'sow'>;
type Entry = NonNullable<Sow['sownAs']>;

const kindOf = (e: Entry | undefined) =>
  e === undefined
    ? ''
    : e.basinRadius !== undefined || e.basins !== undefined
      ? 'basins'
      : e.stripWidth !== undefined || e.stripEvery !== undefined
        ? 'strips'
        : 'rows';

/** What of the field is sown: all of it, tree basins, strips, or open drill rows. */
export function SownAs({
  coverId,
  sow,
  at,
  area,
}: {
  coverId: string;
  sow: Sow | undefined;
  at: string;
  area: Figure | undefined;
}) {
  const { session, state, us } = useOpenPlan();
  const e = sow?.sownAs;
  const kind = kindOf(e);
  const put = (next: Entry | undefined) =>
    session.change((d) => setMembers(d, 'sow', coverId, { sownAs: next }));
  const set = (change: Partial<Entry>) => {
    const next = tidy({ ...e, ...change });
    put(Object.keys(next).length > 0 ? next : undefined);
  };
  const problem = (what: string) => problemAt(state.problems, `${at}/sownAs/${what}`);
  const short = us ? (['ft', 'm'] as const) : (['m', 'ft'] as const);
  const started: Record<string, Entry> = {
    basins: { basins: 100 },
    strips: { stripEvery: us ? { value: 20, unit: 'ft' } : { value: 6, unit: 'm' } },
    rows: { rowsSown: 2, rowsBlocked: 1 },
  };
  return (
    <>
      <SelectField
        label="What is sown"
        value={kind}
        empty="the whole area"
        options={[
          { id: 'basins', name: 'tree basins' },
          { id: 'strips', name: 'strips' },
          { id: 'rows', name: 'open drill rows' },
        ]}
        disabled={!sow}
        onChange={(v) => put(v ? started[v] : undefined)}
      />
      {kind === 'basins' && (
        <>
          <NumberField
            label="Basins"
            value={e?.basins}
            onChange={(v) => set({ basins: v === undefined ? undefined : Math.round(v) })}
            problem={problem('basins')}
          />
          <QuantityField
            label="Radius of a basin"
            value={e?.basinRadius}
            units={[...short]}
            onChange={(q) => set({ basinRadius: q })}
            problem={problem('basinRadius')}
          />
        </>
      )}
      {kind === 'strips' && (
        <>
          <QuantityField
            label="Width of a strip"
            value={e?.stripWidth}
            units={[...short]}
            onChange={(q) => set({ stripWidth: q })}
            problem={problem('stripWidth')}
          />
          <QuantityField
            label="From strip to strip"
            value={e?.stripEvery}
            units={[...short]}
            onChange={(q) => set({ stripEvery: q })}
            problem={problem('stripEvery')}
          />
        </>
      )}
      {kind === 'rows' && (
        <>
          <NumberField
            label="Rows that sow"
            value={e?.rowsSown}
            min={1}
            onChange={(v) => set({ rowsSown: v === undefined ? undefined : Math.round(v) })}
            problem={problem('rowsSown')}
          />
          <NumberField
            label="Rows blocked"
            value={e?.rowsBlocked}
            onChange={(v) => set({ rowsBlocked: v === undefined ? undefined : Math.round(v) })}
            problem={problem('rowsBlocked')}
          />
        </>
      )}
      {area && (
        <span className="pb-1 text-[13.5px]">
          sown <FigureText of={area} />
        </span>
      )}
    </>
  );
}
