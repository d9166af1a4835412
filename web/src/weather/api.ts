import { useQuery } from '@tanstack/react-query';

import { api, taken, token, type Schemas } from '../api/client';

export type Report = Schemas['WeatherReport'];

export const useWeatherChoices = () =>
  useQuery({
    queryKey: ['weather'],
    queryFn: async () => taken(await api.GET('/api/weather')),
  });

/** Sends a weather file, to be looked at or kept. */
export async function sendWeather<T>(
  path: '/api/weather' | '/api/weather/previews',
  file: File,
  query: Record<string, string | number | boolean | undefined>,
): Promise<T> {
  const words = Object.entries(query).flatMap(([k, v]) =>
    v === undefined || v === '' ? [] : [[k, String(v)]],
  );
  const response = await fetch(`${path}?${new URLSearchParams(words)}`, {
    method: 'POST',
    headers: { ...(await token()), 'Content-Type': 'application/octet-stream' },
    body: file,
  });
  const body = (await response.json()) as T & { detail?: string };
  return taken<T>({ data: body, error: body, response });
}
