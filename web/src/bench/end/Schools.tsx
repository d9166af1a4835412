import { Fragment } from 'react';

import { api, taken, today, type Schemas } from '../../api/client';
import { FigureText } from '../../plan/FigureText';
import { AskedDetails } from '../../plan/AskedDetails';
import { spokenDate } from '../../ui/days';
import { Stack } from '../../ui/Stack';

type School = Schemas['EndSchoolView'];

const MET = { true: 'met', false: 'not met' };

function Needs({ school: s }: { school: School }) {
  return (
    <>
      {s.needs.length > 0 && (
        <span className="block">
          needs{' '}
          {s.needs.map((n, i) => (
            <span key={n.text}>
              {i > 0 && '; '}
              {n.text}:{' '}
              <b className={n.met === false ? 'text-hand' : ''}>
                {n.met === undefined ? 'look' : MET[`${n.met}`]}
              </b>
            </span>
          ))}
        </span>
      )}
      {s.against.map((a, i) => (
        <span key={a} className="block">
          {i === 0 && s.forbidden && <b className="text-hand">stop: </b>}
          {a}
        </span>
      ))}
    </>
  );
}

/** The schools of ending side by side: where each would end this cover, what follows, what it needs and what speaks against it. */
export function Schools({
  coverId,
  onTake,
}: {
  coverId: string;
  onTake: (day: string, passes: School['passes']) => void;
}) {
  return (
    <AskedDetails
      name="end-schools"
      title="Schools side by side"
      aside="where each would end it, what follows, and which of its conditions this field meets"
      waits="ending the plan by each school"
      coverId={coverId}
      ask={async (plan, signal) =>
        taken(
          await api.POST('/api/covers/end-schools', {
            body: { plan, asOf: today(), coverId },
            signal,
          }),
        )
      }
    >
      {(v) => (
        <>
          <Stack label="Schools of ending" className="mt-1">
            <table className="w-full text-[13.5px]">
              <thead>
                <tr className="border-b border-ink text-right align-bottom text-[12px] leading-tight">
                  <th className="text-left">school</th>
                  <th className="px-1">ends</th>
                  {v.columns.map((c) => (
                    <th key={c} className="px-1">
                      {c}
                    </th>
                  ))}
                  <th className="px-1">passes cost</th>
                  <th data-name="">
                    <span className="sr-only">take</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {v.schools.map((s) => (
                  <Fragment key={s.id}>
                    <tr className="text-right align-top">
                      <th scope="row" className="pt-1.5 text-left">
                        {s.name}
                        <span className="block text-[12px] font-normal text-ink2">
                          {s.words}
                          {s.planned && ', as planned'}
                        </span>
                      </th>
                      <td className="fig px-1 pt-1.5 whitespace-nowrap">
                        {s.on ? spokenDate(s.on, false) : '–'}
                      </td>
                      {v.columns.map((c, i) => (
                        <td key={c} className="px-1 pt-1.5">
                          <FigureText of={s.figures[i] ?? undefined} />
                        </td>
                      ))}
                      <td className="fig px-1 pt-1.5">{s.cost}</td>
                      <td className="pt-1.5 pl-2">
                        {s.on && !s.planned && (
                          <button
                            type="button"
                            className="link"
                            aria-label={`End it so: ${s.name}`}
                            onClick={() => onTake(s.on ?? '', s.passes)}
                          >
                            take
                          </button>
                        )}
                      </td>
                    </tr>
                    <tr className="border-b border-rule2">
                      <td colSpan={v.columns.length + 4} className="pb-1.5 text-[12.5px]">
                        <Needs school={s} />
                      </td>
                    </tr>
                  </Fragment>
                ))}
              </tbody>
            </table>
          </Stack>
          <p className="mt-1 text-[12.5px] text-ink2 italic">
            Each line is the plan so ended, worked out; schools are never averaged. {v.costNote}{' '}
            Undo takes a choice back.
          </p>
        </>
      )}
    </AskedDetails>
  );
}
