import type { Schemas } from '../../api/client';
import { FigureText } from '../../plan/FigureText';

/** Rhizobium to mix in, a group each. */
export function Inoculants({ seen }: { seen: Schemas['MixChapterView'] | undefined }) {
  if ((seen?.inoculants.length ?? 0) === 0) return null;
  return (
    <>
      <h3 className="mt-4 font-bold">Inoculant to mix in</h3>
      <ul className="max-w-[860px] text-[14px]">
        {seen?.inoculants.map((i) => (
          <li key={i.group} className="flex justify-between gap-4 border-b border-rule2 py-0.5">
            <span>
              <b>{i.group} group</b> for {i.species.join(', ')}
            </span>
            <FigureText of={i.amount} />
          </li>
        ))}
      </ul>
      <p className="text-[13px] text-ink2">
        Each group on its own seed, on the day, out of the sun. The packet’s label decides.
      </p>
    </>
  );
}
