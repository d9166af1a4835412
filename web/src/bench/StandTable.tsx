import type { Figure } from '../api/client';
import { FigureText } from '../plan/FigureText';

/** What stands of a cover when it ends; beside it what was simulated before somebody said better. */
export function StandTable({
  columns,
  rows,
}: {
  columns: string[];
  rows: [label: string, counts: Figure | undefined, without?: Figure | undefined][];
}) {
  const there = rows.filter(([, counts]) => counts);
  if (there.length === 0) {
    return (
      <p className="mt-3 text-[13px] text-ink2 italic">
        Nothing is simulated to stand then: give the cover a mix, a sowing and an end, or type what
        you expect.
      </p>
    );
  }
  return (
    <table className="mt-3 w-full max-w-[620px]" aria-label="What stands then">
      {columns.length > 1 && (
        <thead>
          <tr className="border-b border-ink text-right text-[12.5px]">
            <th />
            {columns.map((c) => (
              <th key={c} scope="col">
                {c}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {there.map(([label, counts, without]) => (
          <tr key={label} className="border-b border-rule2 align-baseline">
            <td className="py-1 pr-3">{label}</td>
            <td className="text-right">
              <FigureText of={counts} band />
            </td>
            {columns.length > 1 && (
              <td className="pl-3 text-right">{without && <FigureText of={without} band />}</td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
