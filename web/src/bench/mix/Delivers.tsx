import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';

/** What the mix is forecast to deliver: mass, C:N and each ranked aim, with its band. */
export function Delivers({ coverId, aims }: { coverId: string; aims: string[] }) {
  const { state, knowledge } = useOpenPlan();
  const at = (what: string) => `mix/${coverId}/${what}`;
  if (!state.evaluation?.figures[at('mass')]) return null;
  const lines = [
    { id: at('mass'), name: 'Dry tops when it ends' },
    { id: at('cn'), name: 'C:N when it ends' },
    ...aims.map((a, i) => ({
      id: at(`aim/${a}`),
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
          key={l.id}
          className="flex items-baseline justify-between gap-2 border-b border-rule2 py-1 text-[13.5px]"
        >
          <dt>{l.name}</dt>
          <dd>
            <FigureText id={l.id} band />
          </dd>
        </div>
      ))}
    </dl>
  );
}
