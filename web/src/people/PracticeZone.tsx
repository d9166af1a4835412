import { useMutation } from '@tanstack/react-query';

import { api, taken } from '../api/client';
import { SelectField } from '../ui/inputs';

/** The time zone by which the practice's day begins: the list of fields is for that day, whoever looks. */
export function PracticeZone({
  zone,
  adviser,
  onSet,
}: {
  zone: string;
  adviser: boolean;
  onSet: () => void;
}) {
  const set = useMutation({
    mutationFn: async (to: string) =>
      taken(await api.PUT('/api/practice/zone', { body: { zone: to } })),
    onSuccess: onSet,
  });
  const named = zone === 'Z' ? 'UTC' : zone;
  const zones = [...new Set([named, 'UTC', ...Intl.supportedValuesOf('timeZone')])];
  return (
    <section aria-label="Day of the practice" className="mt-6">
      <h2 className="text-[17px] font-bold">Day of the practice</h2>
      {adviser ? (
        <SelectField
          label="Time zone"
          value={named}
          options={zones.map((z) => ({ id: z, name: z.replaceAll('_', ' ') }))}
          onChange={(z) => set.mutate(z)}
        />
      ) : (
        <p>Time zone: {named.replaceAll('_', ' ')}</p>
      )}
      <p className="text-[13px] text-ink2 italic">
        The list of fields counts its days from the date in this time zone.
      </p>
      {set.error && (
        <p role="alert" className="text-hand">
          {set.error.message}
        </p>
      )}
    </section>
  );
}
