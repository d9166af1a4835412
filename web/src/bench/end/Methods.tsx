import { api, taken, today, type Schemas } from '../../api/client';
import { AskedDetails } from '../../plan/AskedDetails';
import { spokenTime } from '../../ui/dates';
import { spokenDate } from '../../ui/days';
import { Stack } from '../../ui/Stack';

type Method = Schemas['MethodView'];

/** Every way of ending, with what speaks against it here: none is hidden. */
export function Methods({
  coverId,
  onTake,
}: {
  coverId: string;
  onTake: (method: string) => void;
}) {
  return (
    <AskedDetails
      name="end-methods"
      title="Ways of ending it"
      aside="what each kills, needs, costs and leaves, and why some do not fit"
      waits="ending the cover in each way"
      coverId={coverId}
      ask={async (plan, signal) =>
        taken(
          await api.POST('/api/covers/end-dates', {
            body: { plan, asOf: today(), coverId, coarse: true },
            signal,
          }),
        )
      }
    >
      {({ dates, why }) =>
        dates ? (
          <>
            <MethodTable methods={dates.methods} day={dates.methodsOn} onTake={onTake} />
            <NextDays dates={dates} />
          </>
        ) : (
          <p role="status">{why}</p>
        )
      }
    </AskedDetails>
  );
}

const fits = (against: string | undefined) => against ?? 'fits what is usual';

/** The days of the forecast against what a spray and a roller need, with the age of the forecast. */
function NextDays({ dates }: { dates: Schemas['DatesView'] }) {
  if (dates.nextDays.length === 0) return null;
  return (
    <>
      <h4 className="mt-2 text-[13.5px] font-bold">
        The next days{' '}
        {dates.forecastOf && (
          <i className="text-[12.5px] font-medium text-ink2">
            by the forecast of {spokenTime(dates.forecastOf)}; daily figures show no inversion, and
            what fits is no permission
          </i>
        )}
      </h4>
      <Stack label="The next days">
        <table className="text-[13px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12px]">
              <th className="pr-4">day</th>
              <th className="pr-4">forecast</th>
              <th className="pr-4">to spray</th>
              <th>to roll or mow</th>
            </tr>
          </thead>
          <tbody>
            {dates.nextDays.map((d) => (
              <tr key={d.on} className="border-b border-rule2">
                <th scope="row" className="fig pr-4 text-left font-normal">
                  {spokenDate(d.on)}
                </th>
                <td className="fig pr-4">{d.said}</td>
                <td className="pr-4">{fits(d.spray)}</td>
                <td>{fits(d.roll)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Stack>
    </>
  );
}

function MethodTable({
  methods,
  day,
  onTake,
}: {
  methods: Method[];
  day: string;
  onTake: (method: string) => void;
}) {
  return (
    <>
      <Stack label="Ways of ending" className="mt-1">
        <table className="w-full text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-left align-bottom text-[12px] leading-tight">
              <th>way</th>
              <th className="px-1">kills on {spokenDate(day, false)}</th>
              <th className="px-1">passes cost</th>
              <th className="px-1">field takes</th>
              <th className="px-1">works on</th>
              <th className="px-1">leaves</th>
              <th className="px-1">against it here</th>
              <th data-name="">
                <span className="sr-only">take</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {methods.map((m) => (
              <tr key={m.id} className="border-b border-rule2 align-top">
                <th
                  scope="row"
                  className={`py-0.5 text-left ${m.usable ? '' : 'font-normal line-through'}`}
                >
                  {m.name}
                  {m.planned && <i className="block text-[12px]">as planned</i>}
                </th>
                <td className="fig px-1">{m.kills ?? 'frost decides'}</td>
                <td className="fig px-1">{m.cost}</td>
                <td className="px-1">
                  <span className="fig">{m.hours ?? '–'}</span>
                  {m.speed && <span className="block text-[12px] text-ink2">at {m.speed}</span>}
                </td>
                <td className="px-1 text-[12.5px]">
                  {m.works}; {m.weather}
                </td>
                <td className="px-1 text-[12.5px]">{m.leaves}</td>
                <td className="px-1 text-[12.5px]">
                  {m.reasons.length === 0 ? 'nothing known' : m.reasons.join(' ')}
                </td>
                <td className="pl-2">
                  {!m.planned && m.usable && (
                    <button
                      type="button"
                      className="link"
                      aria-label={`End it so: ${m.name}`}
                      onClick={() => onTake(m.id)}
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
        Passes by the library’s custom rates, not at yours; products are not in them. The label in
        force decides on any spray.
      </p>
    </>
  );
}
