import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';

/** What the mix is forecast to deliver: mass, C:N and each ranked aim, with its band. */
export function Delivers({ coverId, aims }: { coverId: string; aims: string[] }) {
  const { state, knowledge } = useOpenPlan();
  const delivers = state.evaluation?.mix[coverId]?.delivers;
  if (!delivers) return null;
  const lines = [
    { figure: delivers.mass, name: 'Dry tops when it ends' },
    { figure: delivers.carbonToNitrogen, name: 'C:N when it ends' },
    ...aims.map((a, i) => ({
      figure: delivers.aims[a],
      name: `${i + 1}. ${knowledge.aims.find((x) => x.id === a)?.name ?? a}`,
    })),
  ];
  return (
    <dl
      aria-label="What the mix is forecast to deliver"
      className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-x-5"
    >
      {lines.map((l) => (
        <div
          key={l.name}
          className="flex items-baseline justify-between gap-2 border-b border-rule2 py-1 text-[13.5px]"
        >
          <dt>{l.name}</dt>
          <dd>
            <FigureText of={l.figure} band />
          </dd>
        </div>
      ))}
    </dl>
  );
}
