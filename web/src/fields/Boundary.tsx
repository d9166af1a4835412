import { useMutation } from '@tanstack/react-query';
import { useId } from 'react';

import { api, Refusal, taken, type Field } from '../api/client';

const MOST_BYTES = 5 * 1024 * 1024;

type Found = { boundary: NonNullable<Field['boundary']>; areaHa: number; areaAc: number };

/** Takes a GeoJSON file, has it looked at by the server, and hands over the outline with its area. */
export function BoundaryFile({
  us,
  label = 'Boundary file (GeoJSON)',
  onFound,
}: {
  us: boolean;
  label?: string;
  onFound: (f: Found) => void;
}) {
  const id = useId();
  const look = useMutation({
    mutationFn: async (file: File): Promise<Found & { parts: number; holes: number }> => {
      if (file.size > MOST_BYTES) {
        throw new Error('The file is over 5 MB. Export only this field, or simplify its outline.');
      }
      let boundary: Found['boundary'];
      try {
        boundary = JSON.parse(await file.text()) as Found['boundary'];
      } catch {
        throw new Error('This is not GeoJSON: the file is not readable JSON.');
      }
      const seen = taken(await api.POST('/api/boundaries', { body: boundary }));
      return { boundary, ...seen };
    },
    onSuccess: onFound,
  });
  const problem = look.error instanceof Refusal ? look.error.problems[0] : undefined;
  return (
    <span className="flex flex-col">
      <label htmlFor={id} className="text-[13px] text-ink2">
        {label}
      </label>
      <input
        id={id}
        type="file"
        accept=".geojson,.json,application/geo+json,application/json"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) look.mutate(file);
        }}
      />
      {look.data && (
        <span className="fig" role="status">
          {us ? `${look.data.areaAc.toFixed(2)} ac` : `${look.data.areaHa.toFixed(2)} ha`}
          {look.data.parts > 1 && `, ${look.data.parts} parts`}
          {look.data.holes > 0 && `, ${look.data.holes} left out inside`}
        </span>
      )}
      {look.error && (
        <span role="alert" className="max-w-96 text-hand">
          {problem?.pointer && <span className="fig">{problem.pointer}: </span>}
          {problem?.message ?? look.error.message}
        </span>
      )}
    </span>
  );
}
