import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { Refusal, type Schemas } from '../api/client';
import { spokenDate } from '../ui/days';
import { AskDayOrder } from '../ui/AskDayOrder';
import { Panel } from '../ui/Panel';
import { SelectField, SignedField, TextField } from '../ui/inputs';
import { sendWeather, type Report } from './api';

type Taken = Schemas['Taken'];

const SCALES: Record<string, string> = { c: '°C', tenths: 'tenths of °C', f: '°F' };
const RAINS: Record<string, string> = { mm: 'mm', tenths: 'tenths of mm', in: 'inches' };
const TOLD = 60;

interface Asked {
  file: File;
  latitude?: number;
  scale: string;
  rain: string;
  dayOrder: string;
}

/** What was read of a file: questions about its units and dates, lines and gaps. */
function ReportView({
  report,
  onScale,
  onRain,
  onDayOrder,
}: {
  report: Report;
  onScale: (id: string) => void;
  onRain: (id: string) => void;
  onDayOrder: (id: string) => void;
}) {
  return (
    <>
      <p>
        <span className="fig">{report.days}</span> days, {spokenDate(report.first)} to{' '}
        {spokenDate(report.last)}; temperatures in {SCALES[report.temperature]}, rain in{' '}
        {RAINS[report.rain]}.
      </p>
      {report.temperatureDoubt && (
        <div role="alert" className="my-2 border-l-4 border-hand bg-handwash p-2">
          <b>Is this {SCALES[report.temperature]}?</b> {report.temperatureDoubt}
          <span className="mt-1 flex flex-wrap gap-2">
            {report.temperatureOr.map((t) => (
              <button key={t} type="button" className="btn btn-main" onClick={() => onScale(t)}>
                Read it in {SCALES[t]}
              </button>
            ))}
            <button type="button" className="btn" onClick={() => onScale(report.temperature)}>
              It is {SCALES[report.temperature]}
            </button>
          </span>
        </div>
      )}
      {!report.rainSure && (
        <div role="alert" className="my-2 border-l-4 border-hand bg-handwash p-2">
          <b>Is the rain in {RAINS[report.rain]}?</b> The year’s sum would be unlikely.
          <span className="mt-1 flex flex-wrap gap-2">
            {report.rainOr.map((r) => (
              <button key={r} type="button" className="btn btn-main" onClick={() => onRain(r)}>
                Read it in {RAINS[r]}
              </button>
            ))}
            <button type="button" className="btn" onClick={() => onRain(report.rain)}>
              It is {RAINS[report.rain]}
            </button>
          </span>
        </div>
      )}
      {!report.dayOrderSure && <AskDayOrder onAnswer={onDayOrder} />}
      {report.gaps.length > 0 && (
        <details className="mt-1">
          <summary className="cursor-pointer">
            <span className="fig">{report.gaps.length}</span> gaps,{' '}
            <span className="fig">{report.filledDays}</span> days filled from their neighbours
          </summary>
          <ul className="max-h-36 overflow-y-auto text-[13.5px]">
            {report.gaps.slice(0, TOLD).map((g) => (
              <li key={g.from}>
                {spokenDate(g.from)} to {spokenDate(g.to)}, <span className="fig">{g.days}</span>{' '}
                {g.days === 1 ? 'day' : 'days'}: {g.filled ? 'filled' : 'left open'}
              </li>
            ))}
          </ul>
        </details>
      )}
      {report.faults > 0 && (
        <details className="mt-1" open={report.faults < 6}>
          <summary className="cursor-pointer">
            errors in <span className="fig">{report.faults}</span>{' '}
            {report.faults === 1 ? 'place' : 'places'}
          </summary>
          <ul className="max-h-36 overflow-y-auto text-[13.5px]">
            {report.lines.slice(0, TOLD).map((l, i) => (
              <li key={i}>
                line <span className="fig">{l.line}</span>: {l.text}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** A weather file: shown first, with questions where it is in doubt, and saved on request. */
export function WeatherImport({
  latitude: known,
  onKept,
}: {
  latitude?: number;
  onKept: (id: string) => void;
}) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [file, setFile] = useState<File>();
  const [name, setName] = useState('');
  const [latitude, setLatitude] = useState(known);
  const [coastal, setCoastal] = useState('no');
  const [scale, setScale] = useState('');
  const [rain, setRain] = useState('');
  const [dayOrder, setDayOrder] = useState('');
  const look = useMutation({
    mutationFn: (at: Asked) =>
      sendWeather<Report>('/api/weather/previews', at.file, {
        latitude: at.latitude,
        temperature: at.scale,
        rain: at.rain,
        dayOrder: at.dayOrder,
      }),
  });
  const keep = useMutation({
    mutationFn: (from: File) =>
      sendWeather<Taken>('/api/weather', from, {
        name: name.trim(),
        latitude,
        coastal: coastal === 'yes',
        temperature: scale,
        rain,
        dayOrder,
      }),
    onSuccess: async (done) => {
      await queries.invalidateQueries({ queryKey: ['weather'] });
      setOpen(false);
      onKept(done.series.id);
    },
  });
  const again = (to: Partial<Asked>) => {
    const from = to.file ?? file;
    if (from) {
      look.mutate({
        file: from,
        latitude: to.latitude ?? latitude,
        scale: to.scale ?? scale,
        rain: to.rain ?? rain,
        dayOrder: to.dayOrder ?? dayOrder,
      });
    }
  };
  const report = look.data;
  const words = (e: Error | null) =>
    e instanceof Refusal ? (e.problems[0]?.message ?? e.message) : e?.message;
  return (
    <Panel
      wide
      title="A weather record"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="btn">
          Import a weather file
        </button>
      }
    >
      <p className="text-[13.5px] text-ink2">
        A table with a line a day: date,tmin_c,tmax_c,prcp_mm; or a public daily file with DATE,
        TMIN, TMAX, PRCP. Thirty years are best.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        <label className="inline-flex flex-col text-[13px] text-ink2">
          Weather file
          <input
            type="file"
            accept=".csv,.txt,text/csv"
            onChange={(e) => {
              const chosen = e.target.files?.[0];
              if (!chosen) return;
              setFile(chosen);
              setScale('');
              setRain('');
              setDayOrder('');
              if (!name) setName(chosen.name.replace(/\.[^.]*$/, ''));
              again({ file: chosen, scale: '', rain: '', dayOrder: '' });
            }}
          />
        </label>
        <TextField label="Name of the record" value={name} onChange={setName} width="w-44" />
        <SignedField
          label="Latitude, ° north"
          value={latitude}
          least={-90}
          most={90}
          onChange={(lat) => {
            setLatitude(lat);
            again({ latitude: lat });
          }}
        />
        <SelectField
          label="By large water"
          value={coastal}
          options={[
            { id: 'no', name: 'no' },
            { id: 'yes', name: 'yes' },
          ]}
          onChange={setCoastal}
        />
      </div>
      {look.isPending && <p className="mt-2 italic">reading the file</p>}
      {look.error && (
        <p role="alert" className="mt-2 text-hand">
          {words(look.error)}
        </p>
      )}
      {report && (
        <div className="mt-2">
          <ReportView
            report={report}
            onScale={(id) => {
              setScale(id);
              again({ scale: id });
            }}
            onRain={(id) => {
              setRain(id);
              again({ rain: id });
            }}
            onDayOrder={(id) => {
              setDayOrder(id);
              again({ dayOrder: id });
            }}
          />
        </div>
      )}
      {keep.error && (
        <p role="alert" className="text-hand">
          Not saved: {words(keep.error)}
        </p>
      )}
      {report && latitude === undefined && (
        <p className="mt-2 text-hand">Enter the latitude where it was measured.</p>
      )}
      {report && (report.temperatureDoubt ?? !(report.rainSure && report.dayOrderSure)) && (
        <p className="mt-2 text-hand">Answer the question above first.</p>
      )}
      <button
        type="button"
        className="btn btn-main mt-3"
        disabled={
          !file ||
          !report ||
          !name.trim() ||
          latitude === undefined ||
          !!report.temperatureDoubt ||
          !report.rainSure ||
          !report.dayOrderSure ||
          keep.isPending
        }
        onClick={() => file && keep.mutate(file)}
      >
        Save the record
      </button>
    </Panel>
  );
}
