import { api, taken, today, type Schemas } from '../../api/client';
import { FigureText } from '../../plan/FigureText';
import { AskedDetails } from '../../plan/AskedDetails';
import { spokenDate } from '../../ui/days';
import { Stack } from '../../ui/Stack';

type Way = Schemas['WayView'];

/** The ways and times of sowing the cover, each as the plan so sown. */
export function Ways({ coverId, onTake }: { coverId: string; onTake: (way: Way) => void }) {
  return (
    <AskedDetails
      name="ways"
      title="Ways of sowing"
      aside="what each costs, needs and brings up, and what a later day loses"
      waits="sowing the plan in each way"
      coverId={coverId}
      ask={async (plan, signal) =>
        taken(
          await api.POST('/api/covers/ways', { body: { plan, asOf: today(), coverId }, signal }),
        )
      }
    >
      {(v) => (
        <>
          <Stack label="Ways of sowing" className="mt-1">
            <table className="w-full text-[13.5px]">
              <thead>
                <tr className="border-b border-ink text-right align-bottom text-[12px] leading-tight">
                  <th className="text-left">way</th>
                  <th className="px-1">day</th>
                  <th className="px-1" data-name={`passes, ${v.moneyUnit}`}>
                    passes<span className="fig block text-[11px]">{v.moneyUnit}</span>
                  </th>
                  <th className="px-1" data-name={`seed, ${v.moneyUnit}`}>
                    seed<span className="fig block text-[11px]">{v.moneyUnit}</span>
                  </th>
                  <th className="px-1">of live seed comes up</th>
                  <th className="px-1" data-name={`plants, ${v.plantUnit}`}>
                    plants<span className="fig block text-[11px]">{v.plantUnit}</span>
                  </th>
                  <th className="px-1">a thousand plants</th>
                  <th className="px-1">days, machine</th>
                  <th className="px-1">dry tops</th>
                  <th data-name="">
                    <span className="sr-only">take</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {v.ways.map((w) => (
                  <tr
                    key={w.id}
                    className={`border-b border-rule2 text-right ${w.planned ? 'font-bold' : ''}`}
                  >
                    <th scope="row" className="py-0.5 text-left">
                      {w.name}
                      {w.planned && <i className="block text-[12px]">as planned</i>}
                    </th>
                    <td className="fig px-1">{spokenDate(w.on)}</td>
                    <td className="fig px-1">{w.passCost}</td>
                    <td className="fig px-1">{w.seedCost}</td>
                    <td className="fig px-1">{w.emerges}</td>
                    <td className="fig px-1">{w.plants}</td>
                    <td className="fig px-1">{w.per1000 ?? '–'}</td>
                    <td className="px-1">
                      <span className="fig">{w.days}</span>{' '}
                      <span className="block text-[12px] font-normal text-ink2">
                        {w.machine}
                        {!w.hasMachine && ', not entered here'}
                      </span>
                    </td>
                    <td className="px-1">
                      {w.tops ? <FigureText of={w.tops} /> : '–'}
                      {(w.lostPerDay ?? w.impossible) && (
                        <span className="block text-[12px] font-normal text-ink2">
                          {w.impossible ?? `loses ${w.lostPerDay}`}
                        </span>
                      )}
                    </td>
                    <td className="pl-2">
                      {!w.planned && !w.impossible && (
                        <button
                          type="button"
                          className="link font-normal"
                          aria-label={`Sow it so: ${w.name}`}
                          onClick={() => onTake(w)}
                        >
                          take
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Stack>
          <p className="mt-1 text-[12.5px] text-ink2 italic">
            At once is {spokenDate(v.atOnce)}. {v.costNote} Whether to sow at once or to rake first
            is disputed: rake where volunteers or slugs are on record and the window is long.
          </p>
        </>
      )}
    </AskedDetails>
  );
}
