import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';

import { api, Refusal, taken, today, token, type Problem } from '../api/client';
import { SectionRow } from '../section/GroundSection';
import { months, spokenDate, timeScale } from '../section/scale';
import { useWidth } from '../section/useWidth';
import { NewField } from './NewField';
import { NewFarm } from './NewFarm';

export const useFields = () =>
  useQuery({
    queryKey: ['fields'],
    queryFn: async () =>
      taken(await api.GET('/api/fields', { params: { query: { asOf: today() } } })),
  });

function ImportPlan() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: async (file: File) => {
      const answer = await fetch('/api/dossiers', {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/octet-stream' },
        body: file,
      });
      const body = (await answer.json()) as {
        fieldId: string;
        detail?: string;
        problems?: Problem[];
      };
      if (!answer.ok)
        throw new Refusal(answer.status, body.detail ?? 'refused', body.problems ?? []);
      return body;
    },
    onSuccess: async (done) => {
      await queries.invalidateQueries();
      void navigate(`/fields/${done.fieldId}`);
    },
  });
  const first = take.error instanceof Refusal ? take.error.problems[0] : undefined;
  return (
    <>
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        Import a plan
      </button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Plan file"
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) take.mutate(file);
          e.target.value = '';
        }}
      />
      {take.error && (
        <p role="alert" className="basis-full text-hand">
          Not imported. {first ? `${first.pointer}: ${first.message}` : take.error.message}
        </p>
      )}
    </>
  );
}

export function FieldsPage() {
  const fields = useFields();
  const farms = useQuery({
    queryKey: ['farms'],
    queryFn: async () => taken(await api.GET('/api/farms')),
  });
  const [find, setFind] = useState('');
  const [ref, width] = useWidth(700);
  const day = today();
  const [from, to] = useMemo(() => {
    const d = new Date(`${day}T00:00:00Z`);
    const shift = (n: number) => new Date(d.getTime() + n * 86_400_000).toISOString().slice(0, 10);
    return [shift(-180), shift(540)];
  }, [day]);
  const frame = useMemo(() => ({ width, height: 56, from, to }), [width, from, to]);
  const scale = timeScale(from, to, 0, width);
  const shown = fields.data?.filter((f) =>
    `${f.field.name} ${f.farm.name}`.toLowerCase().includes(find.toLowerCase()),
  );
  return (
    <main className="px-4 pb-10 max-[640px]:px-2">
      <div className="flex flex-wrap items-end gap-3 py-3">
        <h1 className="mr-4 text-[22px] font-bold">Fields</h1>
        <span className="inline-flex flex-col">
          <label htmlFor="find" className="text-[13px] text-ink2">
            Find a field or farm
          </label>
          <input
            id="find"
            value={find}
            onChange={(e) => setFind(e.target.value)}
            className="w-48"
          />
        </span>
        <NewFarm />
        {(farms.data?.length ?? 0) > 0 && <NewField farms={farms.data ?? []} />}
        <ImportPlan />
      </div>
      {fields.isError && (
        <p role="alert" className="text-hand">
          The fields could not be read.{' '}
          <button type="button" className="link" onClick={() => void fields.refetch()}>
            Try again
          </button>
        </p>
      )}
      {fields.isPending && <p className="italic">reading the fields</p>}
      {farms.data?.length === 0 && (
        <p className="py-6 text-[16px] text-ink2 italic">
          No farm yet. Make a farm first; it says in which units and which currency its fields are
          read.
        </p>
      )}
      {(farms.data?.length ?? 0) > 0 && fields.data?.length === 0 && (
        <p className="py-6 text-[16px] text-ink2 italic">
          No field yet. Make one from a boundary file or by typing its area.
        </p>
      )}
      <div className="grid grid-cols-[190px_minmax(0,1fr)_150px] gap-x-3 max-[640px]:grid-cols-[120px_minmax(0,1fr)]">
        <span />
        <div ref={ref} className="min-w-0" aria-hidden>
          {(shown?.length ?? 0) > 0 && (
            <svg width={width} height={18} className="block">
              {months(scale).map((t) => (
                <text
                  key={t.x}
                  x={t.x + 2}
                  y={13}
                  fontSize={t.year ? 12 : 11}
                  fontWeight={t.year ? 700 : 400}
                  fill="var(--ink2)"
                  fontFamily="'Sofia Sans Semi Condensed', sans-serif"
                >
                  {t.label}
                </text>
              ))}
            </svg>
          )}
        </div>
        <span className="text-right text-[13px] text-ink2 max-[640px]:hidden">next decision</span>
        <ul className="col-span-full grid grid-cols-subgrid">
          {shown?.map((f, i) => (
            <li
              key={f.field.id}
              className="col-span-full grid grid-cols-subgrid items-center border-t border-rule2 hover:bg-paper2"
            >
              <span className="py-1 leading-tight">
                <Link
                  to={`/fields/${f.field.id}`}
                  className="block text-[15px] font-bold hover:underline"
                >
                  {f.field.name}
                </Link>
                <span className="text-[13px] text-ink2">
                  {f.farm.name}, <span className="fig">{f.area}</span>
                </span>
              </span>
              <SectionRow section={f.section} frame={frame} id={`row${i}`} />
              <span className="text-right text-[13.5px] leading-tight max-[640px]:hidden">
                {f.next ? (
                  <>
                    <span className="fig block font-semibold">{spokenDate(f.next.date)}</span>
                    {f.next.what}
                  </>
                ) : (
                  <span className="text-ink3 italic">nothing dated ahead</span>
                )}
                {f.stops > 0 && (
                  <span className="block font-bold text-hand">
                    {f.stops} STOP{f.thinks > 0 ? `, ${f.thinks} think` : ''}
                  </span>
                )}
                {f.stops === 0 && f.thinks > 0 && (
                  <span className="block text-ink2">{f.thinks} think</span>
                )}
              </span>
            </li>
          ))}
        </ul>
      </div>
    </main>
  );
}
