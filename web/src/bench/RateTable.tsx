import type { Schemas } from '../api/client';
import type { RateFigure } from './rates';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import type { StepProps } from '../plan/steps';
import { GroupMark } from '../ui/GroupMark';
import { Stack } from '../ui/Stack';
import { tidy } from '../ui/tidy';
import { MixRow } from './MixRow';

type Mix = Schemas['MixEntry'];
type Seen = Schemas['MixChapterView'];

const COLUMNS: { what: RateFigure; name: string }[] = [
  { what: 'plsRate', name: 'pure live' },
  { what: 'bulk', name: 'in the box' },
  { what: 'seeds', name: 'live seeds' },
  { what: 'comesUp', name: 'plants up' },
  { what: 'weightShare', name: 'of weight' },
  { what: 'seedShare', name: 'of seeds' },
  { what: 'standShare', name: 'of stand' },
  { what: 'cost', name: 'cost' },
];

/** The species of a mix by the box they go into; those without a rate yet come last. */
function byBox(mix: Mix, seen: Seen | undefined) {
  const boxes = seen?.boxes ?? [];
  const found = boxes.map((b) => ({
    id: b.id,
    name: b.name,
    rate: b.rate,
    components: mix.components.filter((c) => b.species.includes(c.species)),
    fromBag: (mix.bag ? (seen?.rates ?? []) : []).filter(
      (r) => b.species.includes(r.species) && mix.components.every((c) => c.species !== r.species),
    ),
  }));
  const none = mix.components.filter((c) => !boxes.some((b) => b.species.includes(c.species)));
  return [
    ...found,
    { id: 'none', name: 'No rate yet', rate: undefined, components: none, fromBag: [] },
  ].filter((b) => b.components.length + b.fromBag.length > 0);
}

/** A species that comes in the ready-made bag: what follows from the bag's rate. */
function BagRow({ rate, columns }: { rate: Schemas['RateView']; columns: RateFigure[] }) {
  return (
    <tr className="border-b border-rule2 text-right">
      <td className="py-0.5 text-left font-bold">
        <span className="flex items-center gap-1.5 leading-tight">
          <GroupMark group={rate.group} /> {rate.name}
        </span>
      </td>
      <td colSpan={2} className="text-left text-[12.5px] text-ink2">
        from the bag: {rate.full.share} % of full {rate.full.words}; PLS {rate.pls.text}{' '}
        {rate.pls.unit}
      </td>
      {columns.map((what) => (
        <td key={what} className={`px-1 ${what === 'bulk' ? 'font-bold' : ''}`}>
          <FigureText of={rate[what]} unit={false} />
        </td>
      ))}
      <td />
    </tr>
  );
}

/** The species of a mix with their shares, lots and rates, by box, and the sum. */
export function RateTable({
  cover,
  mix,
  seen,
  lots,
  change,
}: StepProps & {
  cover: Schemas['CoverEntry'];
  mix: Mix;
  seen: Seen | undefined;
  change: (edit: (m: Mix) => Mix, held?: boolean) => void;
}) {
  const { state } = useOpenPlan();
  const unit = (what: RateFigure) => seen?.rates[0]?.[what]?.unit ?? '';
  const sum = seen?.sum;
  return (
    <Stack className="mt-2" label="Blend and rates">
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-b border-ink text-right text-[12.5px] leading-tight">
            <th className="py-1 text-left">species</th>
            <th className="text-left">
              {mix.method === 'density'
                ? 'live seeds wanted'
                : mix.method === 'recipe'
                  ? 'pure live seed'
                  : 'share of full'}
            </th>
            <th className="text-left">seed lot</th>
            {COLUMNS.map((c) => (
              <th key={c.what} className="px-1">
                {c.name}
                <span className="fig block text-[11.5px]">
                  {unit(c.what) !== c.name && unit(c.what)}
                </span>
              </th>
            ))}
            <th>
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        {/* in one body, so that a row whose first rate arrives goes to its box as it is, its list still open */}
        <tbody>
          {byBox(mix, seen).flatMap((box) => [
            <tr key={`box ${box.id}`} className="border-b border-rule">
              <th scope="colgroup" colSpan={12} className="pt-1.5 text-left">
                <b className="text-ink">{box.name}</b> {box.rate && <FigureText of={box.rate} />}
              </th>
            </tr>,
            ...box.fromBag.map((r) => (
              <BagRow key={`bag ${r.species}`} rate={r} columns={COLUMNS.map((x) => x.what)} />
            )),
            ...box.components.map((c) => (
              <MixRow
                key={c.species}
                component={c}
                rate={seen?.rates.find((r) => r.species === c.species)}
                method={mix.method}
                pointer={`/covers/${state.plan.covers.indexOf(cover)}/mix/components/${mix.components.indexOf(c)}`}
                lots={lots}
                columns={COLUMNS.map((x) => x.what)}
                zoned={mix.zones !== undefined}
                onChange={(to, held) =>
                  change(
                    (m) => ({
                      ...m,
                      components: m.components.map((x) =>
                        x.species === c.species ? tidy({ ...x, ...to }) : x,
                      ),
                    }),
                    held,
                  )
                }
                onRemove={() =>
                  change((m) => ({
                    ...m,
                    components: m.components.filter((x) => x.species !== c.species),
                  }))
                }
              />
            )),
          ])}
        </tbody>
        {sum && (
          <tfoot>
            <tr className="border-t border-ink text-right font-bold">
              <td className="py-1 text-left">Sum</td>
              <td colSpan={3} className="text-left font-normal text-ink2 italic">
                shares of the full rates {seen.rates.reduce((n, r) => n + r.full.share, 0)} % · seed
                to have, with waste: <FigureText of={sum.seed} />
              </td>
              <td className="px-1">
                <FigureText of={sum.bulk} unit={false} />
              </td>
              <td className="px-1">
                <FigureText of={sum.seeds} unit={false} />
              </td>
              <td colSpan={4} className="font-normal text-ink2 italic">
                <FigureText of={sum.costPerArea} />
              </td>
              <td className="px-1">
                <FigureText of={sum.cost} unit={false} />
              </td>
              <td />
            </tr>
          </tfoot>
        )}
      </table>
    </Stack>
  );
}
