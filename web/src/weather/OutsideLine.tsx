import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';

import { api, taken, type Field } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { fahrenheitOf, inchesOfCm, inchesOfMm } from '../ui/convert';

const MINUTE = 60_000;

/** How old something is, in words. */
export function ageInWords(at: string, now: number): string {
  const minutes = Math.max(0, Math.round((now - Date.parse(at)) / MINUTE));
  if (minutes < 2) return 'just now';
  if (minutes < 90) return `${minutes} minutes old`;
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours} hours old` : `${Math.round(hours / 24)} days old`;
}

/** What services outside tell of the field, how old it is, and what is wrong with them; nothing waits for them. */
export function OutsideLine({ field }: { field: Field }) {
  const { session, us } = useOpenPlan();
  const outside = useQuery({
    queryKey: ['outside', field.id, field.point, field.boundary],
    queryFn: async () => {
      const latest = taken(
        await api.GET('/api/fields/{fieldId}/outside', {
          params: { path: { fieldId: field.id } },
        }),
      );
      return { ...latest, read: Date.now() };
    },
    // while an answer is on its way it is looked for again soon; else every ten minutes
    refetchInterval: (q) =>
      q.state.data?.forecast.asking || q.state.data?.probe.asking ? 1500 : 10 * MINUTE,
  });
  const o = outside.data;
  const answered = o?.forecast.answered;
  const seen = useRef<string>(undefined);
  useEffect(() => {
    if (seen.current !== undefined && answered !== undefined && seen.current !== answered) {
      void session.evaluate();
    }
    seen.current = answered ?? '';
  }, [answered, session]);
  if (!o || (!o.forecast.on && !o.probe.on)) return null;
  const degrees = (c: number) => (us ? `${Math.round(fahrenheitOf(c))} °F` : `${c.toFixed(1)} °C`);
  const days = o.forecast.answer?.days ?? [];
  const rain = days.reduce((s, d) => s + d.rainMm, 0);
  const fault = (f: string | undefined, answered: string | undefined) =>
    f && (
      <span className="text-hand">
        {f} {answered ? 'The last good answer is used.' : 'The record is used instead.'}
      </span>
    );
  return (
    <p className="mt-1 text-[13px]" role="status">
      {o.forecast.answered ? (
        <>
          Forecast of <span className="fig">{days.length}</span> days,{' '}
          <b>{ageInWords(o.forecast.answered, o.read)}</b>:{' '}
          <span className="fig">
            {degrees(Math.min(...days.map((d) => d.tminC)))} to{' '}
            {degrees(Math.max(...days.map((d) => d.tmaxC)))},{' '}
            {us ? `${inchesOfMm(rain).toFixed(1)} in` : `${Math.round(rain)} mm`} of rain.{' '}
          </span>
        </>
      ) : (
        o.forecast.on && !o.forecast.fault && 'Asking for a forecast. '
      )}
      {fault(o.forecast.fault, o.forecast.answered)}{' '}
      {o.probe.answered && o.probe.answer && (
        <>
          Soil at{' '}
          {us
            ? `${inchesOfCm(o.probe.answer.depthCm).toFixed(0)} in`
            : `${o.probe.answer.depthCm} cm`}{' '}
          <span className="fig">{degrees(o.probe.answer.celsius)}</span>,{' '}
          <b>{ageInWords(o.probe.answered, o.read)}</b>.{' '}
        </>
      )}
      {fault(o.probe.fault, o.probe.answered)}
    </p>
  );
}
