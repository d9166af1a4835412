import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { GroupMark } from '../../ui/GroupMark';
import { SelectField } from '../../ui/inputs';
import { Stack } from '../../ui/Stack';
import { useBuys } from './asked';

type View = Schemas['BuysView'];
type More = View['more'][number];

const signed = (n: number) => `${n > 0 ? '+' : n < 0 ? '−' : '±'}${Math.abs(n)} %`;

function Heads({ view, first }: { view: View; first: string }) {
  return (
    <tr className="border-b border-ink text-right align-bottom text-[12px] leading-tight">
      <th className="text-left">{first}</th>
      {view.aims.map((a) => (
        <th key={a.id} className="px-1" data-name={`${a.measure.toLowerCase()}, ${a.unit}`}>
          {a.measure.toLowerCase()}
          <span className="fig block text-[11px]">{a.unit}</span>
        </th>
      ))}
      <th className="px-1">of the aims</th>
      <th className="px-1">seen, years</th>
      <th className="px-1" data-name={`seed, ${view.whole.costUnit}`}>
        seed
        <span className="fig block text-[11px]">{view.whole.costUnit}</span>
      </th>
      <th data-name="">
        <span className="sr-only">what to do</span>
      </th>
    </tr>
  );
}

/** What a species adds to each aim, with what one more of it costs through it, its years and its seed. */
function Bought({ buys: b }: { buys: More['buys'] }) {
  return (
    <>
      {b.adds.map((a, i) => (
        <td key={i} className="fig px-1">
          {a}
          {b.perAim[i] && <span className="block text-[11px] text-ink2">{b.perAim[i]}</span>}
        </td>
      ))}
      <td className="fig px-1 font-bold">{signed(b.worth)}</td>
      <td className="fig px-1">
        {b.seenYears} of {b.years}
      </td>
      <td className="fig px-1">{b.costs}</td>
    </>
  );
}

function Whole({ view, name }: { view: View; name: string }) {
  return (
    <tr className="border-b border-rule text-right font-bold">
      <th scope="row" className="py-0.5 text-left">
        {name}
      </th>
      {view.whole.aims.map((f, i) => (
        <td key={f.id} className="fig px-1">
          {f.text}
          {view.whole.perAim[i] && (
            <span className="block text-[11px] font-normal text-ink2">{view.whole.perAim[i]}</span>
          )}
        </td>
      ))}
      {view.whole.aims.length === 0 && view.aims.map((a) => <td key={a.id} />)}
      <td />
      <td />
      <td className="fig px-1">{view.whole.cost}</td>
      <td />
    </tr>
  );
}

/** What each species of the mix adds, what one more would, and companions to one that is fixed. */
export function Buys({
  cover,
  onTake,
  onReplace,
}: {
  cover: Schemas['CoverEntry'];
  onTake: (m: More) => void;
  onReplace: (gone: string, by: string) => void;
}) {
  const { state, knowledge } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const [base, setBase] = useState('');
  const components = cover.mix?.components ?? [];
  const fixed = components.some((c) => c.species === base) ? base : '';
  const judged = state.evaluation?.covers.find((c) => c.id === cover.id)?.judged ?? false;
  const asked = useBuys(state.plan, cover.id, fixed || undefined, open && judged);
  const v = asked.data;
  const store = (here: boolean) => (here ? 'in store' : '');
  return (
    <details className="mt-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-[15px] font-bold">
        What each species buys{' '}
        <i className="text-[13px] font-medium text-ink2">
          what it adds, what it costs, in how many years it is seen, and what one more would add
        </i>
      </summary>
      {!judged && (
        <p className="text-ink2 italic">
          Said once it is known where the field lies and when the cover grows.
        </p>
      )}
      {asked.error && <p role="status">{asked.error.message}</p>}
      {judged && asked.isPending && <p className="italic">growing the mix without each species</p>}
      {v && (
        <>
          {v.aims.length === 0 && (
            <p className="text-[13px] text-ink2 italic">
              Rank the aims first (step Aims): what a species buys is counted by them.
            </p>
          )}
          {components.length > 1 && (
            <div className="mt-1">
              <SelectField
                label="Beside"
                value={fixed}
                empty="the whole mix"
                options={components.map((c) => ({
                  id: c.species,
                  name: `${knowledge.species.find((s) => s.id === c.species)?.name ?? c.species} alone`,
                }))}
                onChange={setBase}
              />
            </div>
          )}
          {v.members.length > 0 && (
            <Stack label="What each species adds" className="mt-2">
              <table className="w-full text-[13.5px]">
                <thead>
                  <Heads view={v} first="in the mix it adds" />
                </thead>
                <tbody>
                  <Whole view={v} name="The whole mix" />
                  {v.members.map((m) => (
                    <tr key={m.species} className="border-b border-rule2 text-right">
                      <th scope="row" className="py-0.5 text-left">
                        <span className="flex items-center gap-1.5">
                          <GroupMark group={m.group} /> {m.name}
                        </span>
                        <span className="block text-[12px] font-normal text-ink2">
                          {m.left
                            ? `if it does not come up, ${m.left.text} ${m.left.unit} stand`
                            : 'if it does not come up, nothing stands'}
                        </span>
                      </th>
                      <Bought buys={m.buys} />
                      <td className="pl-2 text-left text-[12.5px]">
                        {store(m.buys.inStore)}
                        {m.substitute && (
                          <>
                            no seed in store; instead{' '}
                            <button
                              type="button"
                              className="link"
                              aria-label={`Put ${m.substitute.name} in place of ${m.name}`}
                              onClick={() => onReplace(m.species, m.substitute!.species)}
                            >
                              {m.substitute.name.toLowerCase()}
                            </button>
                            {m.substitute.inStore && ', in store'}
                          </>
                        )}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Stack>
          )}
          {v.more.length > 0 && (
            <Stack label="What one more would add" className="mt-2">
              <table className="w-full text-[13.5px]">
                <thead>
                  <Heads
                    view={v}
                    first={
                      v.base ? `beside ${v.base.toLowerCase()} it would add` : 'one more would add'
                    }
                  />
                </thead>
                <tbody>
                  {v.base && <Whole view={v} name={`${v.base} alone`} />}
                  {v.more.map((m) => (
                    <tr key={m.species} className="border-b border-rule2 text-right">
                      <th scope="row" className="py-0.5 text-left">
                        <span className="flex items-center gap-1.5">
                          <GroupMark group={m.group} /> {m.name}
                        </span>
                        <span className="block text-[12px] font-normal text-ink2">
                          at {m.percent} % of its full rate{m.concern && `; ${m.concern}`}
                        </span>
                      </th>
                      <Bought buys={m.buys} />
                      <td className="pl-2 text-left text-[12.5px]">
                        {!components.some((c) => c.species === m.species) && (
                          <button
                            type="button"
                            className="link mr-1"
                            aria-label={`Add ${m.name}`}
                            onClick={() => onTake(m)}
                          >
                            add
                          </button>
                        )}
                        {store(m.buys.inStore)}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Stack>
          )}
          <p className="mt-1 text-[12.5px] text-ink2 italic">
            Simulated with and without it, the middle of the weather years; seen in a year: 5 % of
            the most dry tops or more. Of the aims: 100 % is each as far as the step Aims counts on
            it, by their weights. Small additions lie inside the forecast’s own error.
          </p>
        </>
      )}
    </details>
  );
}
