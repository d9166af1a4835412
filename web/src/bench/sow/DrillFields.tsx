import type { Schemas } from '../../api/client';
import { setMembers, setSowPart, type Of } from '../../plan/edit';
import { useOpenPlan } from '../../plan/context';
import { problemAt, QuantityField } from '../../ui/inputs';

type Sow = Of<'sow'>;
type SetPart = <P extends 'rows' | 'withSeed'>(
  name: P,
  change: Partial<NonNullable<Sow[P]>>,
) => void;

/** The drill: what its boxes hold, how deep and fast it goes, and what goes in with the seed. */
export function DrillFields({
  cover,
  sow,
  at,
}: {
  cover: Schemas['CoverEntry'];
  sow: Sow | undefined;
  /** Where the sowing stands in the plan. */
  at: string;
}) {
  const { session, state, us } = useOpenPlan();
  const p: Partial<Sow> = sow ?? {};
  const set = (change: Partial<Sow>) =>
    session.change((d) => setMembers(d, 'sow', cover.id, change));
  const part: SetPart = (name, change) =>
    session.change((d) => setSowPart(d, cover.id, name, change));
  return (
    <>
      <h3 className="mt-4 font-bold">Boxes and catch test</h3>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <QuantityField
          label="Working width"
          value={p.catchWidth}
          units={us ? ['ft', 'm'] : ['m', 'ft']}
          placeholder={us ? '9.84' : '3'}
          disabled={!sow}
          onChange={(q) => set({ catchWidth: q })}
        />
        <QuantityField
          label="Distance driven"
          value={p.catchDistance}
          units={us ? ['ft', 'm'] : ['m', 'ft']}
          placeholder={us ? '164' : '50'}
          disabled={!sow}
          onChange={(q) => set({ catchDistance: q })}
        />
        <QuantityField
          label="Large box holds"
          value={p.largeBox}
          units={us ? ['gal', 'L'] : ['L', 'gal']}
          disabled={!sow}
          onChange={(q) => set({ largeBox: q })}
          problem={problemAt(state.problems, `${at}/largeBox`)}
        />
        <QuantityField
          label="Small box holds"
          value={p.smallBox}
          units={us ? ['gal', 'L'] : ['L', 'gal']}
          disabled={!sow}
          onChange={(q) => set({ smallBox: q })}
          problem={problemAt(state.problems, `${at}/smallBox`)}
        />
        <QuantityField
          label="Depth"
          value={p.depth}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          disabled={!sow}
          onChange={(q) => set({ depth: q })}
          problem={problemAt(state.problems, `${at}/depth`)}
        />
        <QuantityField
          label="Speed"
          value={p.speed}
          units={us ? ['mph', 'km/h'] : ['km/h', 'mph']}
          disabled={!sow}
          onChange={(q) => set({ speed: q })}
          problem={problemAt(state.problems, `${at}/speed`)}
        />
        <QuantityField
          label="N and K₂O with the seed"
          value={p.withSeed?.nAndK2O}
          units={us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac']}
          disabled={!sow}
          onChange={(q) => part('withSeed', { nAndK2O: q })}
          problem={problemAt(state.problems, `${at}/withSeed/nAndK2O`)}
        />
        <QuantityField
          label="Opener spreads"
          value={p.withSeed?.openerSpread}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          placeholder={us ? '1' : '2.5'}
          disabled={!sow}
          onChange={(q) => part('withSeed', { openerSpread: q })}
          problem={problemAt(state.problems, `${at}/withSeed/openerSpread`)}
        />
        <QuantityField
          label="Row width"
          value={p.rows?.spacing}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          placeholder={us ? '7.5' : '19'}
          disabled={!sow}
          onChange={(q) => part('rows', { spacing: q })}
          problem={problemAt(state.problems, `${at}/rows/spacing`)}
        />
      </div>
    </>
  );
}
