import type { Figure } from '../api/client';
import { FigureText } from '../plan/FigureText';

/** Figures of the simulation by name; nothing at all where none of them is there. */
export function Simulated({
  title,
  rows,
}: {
  title: string;
  rows: [label: string, figure: Figure | undefined][];
}) {
  const there = rows.filter(([, figure]) => figure);
  if (there.length === 0) return null;
  return (
    <section aria-label={title}>
      <h3 className="mt-4 font-bold">{title}</h3>
      <table className="mt-1 w-full max-w-[620px]">
        <tbody>
          {there.map(([label, figure]) => (
            <tr key={label} className="border-b border-rule2 align-baseline">
              <td className="py-1 pr-3">{label}</td>
              <td className="text-right">
                <FigureText of={figure} band />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
