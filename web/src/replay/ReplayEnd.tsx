import { useState } from 'react';

import type { Schemas } from '../api/client';
import { spokenDate } from '../ui/days';
import { useWidth } from '../section/useWidth';
import { SelectField } from '../ui/inputs';
import type { Choice, EndView, Season } from './api';
import { DayCurve } from './DayCurve';
import { keyOf, useOtherDays } from './useOtherDays';

type Figure = Schemas['FigureView'];

const shown = (f: Figure | undefined) => (f ? `${f.text}${f.unit ? ` ${f.unit}` : ''}` : '–');

/** What came of a replay: plan against choice, expectation against outcome, and what other days would have given. */
export function ReplayEnd({
  end,
  season,
  choices,
}: {
  end: EndView;
  season: Season;
  choices: Choice[];
}) {
  const outcomes = end.figures.filter((f) => f.chosen);
  const [figureId, setFigureId] = useState('');
  const [ref, width] = useWidth(560);
  const other = useOtherDays(season, choices, end.choices);
  const done = Object.keys(other.found).length;
  const chosen = outcomes.find((f) => f.id === figureId) ?? outcomes[0];
  return (
    <section aria-label="What came of it" className="mt-3 border-t-2 border-ink pt-2">
      <h2>What came of it</h2>
      <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-6 max-[900px]:grid-cols-1">
        <div>
          <table className="w-full text-[13.5px]">
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px]">
                <th className="py-1">in that weather</th>
                <th className="text-right">the plan</th>
                <th className="text-right">your choices</th>
                <th className="text-right">difference</th>
              </tr>
            </thead>
            <tbody>
              {outcomes.map((f) => (
                <tr key={f.id} className="border-b border-rule2">
                  <td className="py-0.5">{f.chosen?.label}</td>
                  <td className="fig text-right whitespace-nowrap">{shown(f.planned)}</td>
                  <td className="fig text-right whitespace-nowrap">{shown(f.chosen)}</td>
                  <td className="fig text-right whitespace-nowrap">{f.difference}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-[12.5px] text-ink2 italic">
            Simulated in the weather that came, without a band for what the simulation itself does
            not know. To learn from, not a yield promised.
          </p>
        </div>
        <div ref={ref}>
          <div className="mb-1 flex items-baseline gap-2">
            <SelectField
              label="What other days would have given in"
              value={chosen?.id ?? ''}
              onChange={setFigureId}
              options={outcomes.map((f) => ({ id: f.id, name: f.chosen?.label ?? f.id }))}
            />
          </div>
          <p className="text-[13px] text-ink2 italic" role="status">
            {done < end.choices.length &&
              `${other.running ? 'trying other days' : 'other days'}: ${done} of ${end.choices.length} `}
            {done < end.choices.length && (
              <button
                type="button"
                className="link not-italic"
                onClick={other.running ? other.stop : other.goOn}
              >
                {other.running ? 'stop' : 'go on'}
              </button>
            )}
          </p>
          {other.failed && (
            <p role="alert" className="text-[13.5px] text-hand">
              Other days could not be tried: {other.failed.message}
            </p>
          )}
          {end.choices.map((j) => (
            <div key={keyOf(j)} className="mb-3">
              <p className="text-[13.5px]">
                <b className="inline-block first-letter:uppercase">{j.what}</b>, done{' '}
                <span className="fig">{spokenDate(j.done)}</span>
                {j.expected && j.came && (
                  <>
                    {' '}
                    <span className="text-ink2">
                      · that day one expected <span className="fig">{j.expected.text}</span>
                      {j.expected.low && (
                        <span className="fig">
                          {' '}
                          ({j.expected.low} … {j.expected.high})
                        </span>
                      )}{' '}
                      {j.expected.unit} of {j.expected.label.toLowerCase().replace(/:.*/, '')}; it
                      came to <span className="fig">{j.came.text}</span>
                    </span>
                  </>
                )}
              </p>
              {chosen && other.found[keyOf(j)] && (
                <DayCurve
                  judged={j}
                  tried={other.found[keyOf(j)]!}
                  figureId={chosen.id}
                  label={chosen.chosen?.label ?? ''}
                  unit={chosen.chosen?.unit ?? ''}
                  width={Math.min(width, 620)}
                />
              )}
            </div>
          ))}
        </div>
      </div>
    </section>
  );
}
