import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';

/** Figures of the simulation by name; nothing at all where none of them is there. */
export function Simulated({ title, rows }: { title: string; rows: [label: string, id: string][] }) {
  const { state } = useOpenPlan();
  const there = rows.filter(([, id]) => state.evaluation?.figures[id]);
  if (there.length === 0) return null;
  return (
    <section aria-label={title}>
      <h3 className="mt-4 font-bold">{title}</h3>
      <table className="mt-1 w-full max-w-[620px]">
        <tbody>
          {there.map(([label, id]) => (
            <tr key={id} className="border-b border-rule2 align-baseline">
              <td className="py-1 pr-3">{label}</td>
              <td className="text-right">
                <FigureText id={id} band />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
