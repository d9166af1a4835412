import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { refusal, rendered, serve, type Called } from '../ui/fakeServer';
import { WeatherImport } from './WeatherImport';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const report = (more: object = {}) => ({
  days: 11992,
  first: '1994-01-01',
  last: '2026-10-31',
  temperature: 'f',
  temperatureOr: ['c'],
  rain: 'in',
  rainSure: true,
  rainOr: ['mm'],
  dayOrderSure: true,
  lines: [],
  faults: 0,
  gaps: [],
  filledDays: 0,
  ...more,
});

function opened(latitude?: number) {
  const kept = vi.fn();
  rendered(<WeatherImport latitude={latitude} onKept={kept} />);
  fireEvent.click(screen.getByRole('button', { name: 'Import a weather file' }));
  return kept;
}
const bring = () =>
  fireEvent.change(screen.getByLabelText('Weather file'), {
    target: { files: [new File(['x'], 'barn.csv')] },
  });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const save = () => screen.getByRole('button', { name: 'Save the record' });
const asked = (called: Called[]) =>
  called.map((c) => c.what).filter((w) => w.startsWith('POST /api/weather'));

describe('a weather file', () => {
  test('is looked at first and saved on request, under the name of the file', async () => {
    const called = serve({
      'POST /api/weather/previews': report(),
      'POST /api/weather': { series: { id: 'w1' } },
    });
    const kept = opened(43.1);
    bring();
    expect(await screen.findByText(/temperatures in °F, rain in inches/)).toBeTruthy();
    expect(asked(called)).toHaveLength(1);
    fireEvent.click(save());
    await waitFor(() => expect(kept).toHaveBeenCalledWith('w1'));
    expect(asked(called).at(-1)).toContain('name=barn');
    expect(asked(called).at(-1)).toContain('latitude=43.1');
  });

  test('without a latitude it cannot be saved, and says so', async () => {
    serve({ 'POST /api/weather/previews': report() });
    opened();
    bring();
    expect(await screen.findByText('Enter the latitude where it was measured.')).toBeTruthy();
    expect(save().hasAttribute('disabled')).toBe(true);
  });

  test('doubts are asked about one after the other and stay answered', async () => {
    const called = serve({
      'POST /api/weather/previews': (c: Called) =>
        report({
          temperatureDoubt: c.what.includes('temperature=f')
            ? undefined
            : 'July would be at 90 °C.',
          dayOrderSure: c.what.includes('dayOrder=mdy'),
        }),
    });
    opened(43.1);
    bring();
    await screen.findByText(/July would be at 90/);
    expect(screen.getByText('Answer the question above first.')).toBeTruthy();
    expect(save().hasAttribute('disabled')).toBe(true);
    press('It is °F');
    await waitFor(() => expect(screen.queryByText(/July would be at 90/)).toBeNull());
    expect(save().hasAttribute('disabled')).toBe(true);
    press(/^The first/);
    await waitFor(() => expect(save().hasAttribute('disabled')).toBe(false));
    expect(asked(called).at(-1)).toMatch(/temperature=f.*dayOrder=mdy/);
  });

  test('bad lines and filled gaps are told, not hidden', async () => {
    serve({
      'POST /api/weather/previews': report({
        lines: [{ line: 12, rule: 'bad-date', text: "'31/31/2026' is not a date" }],
        faults: 1,
        gaps: [{ from: '2001-02-01', to: '2001-02-03', days: 3 }],
        filledDays: 3,
      }),
    });
    opened(43.1);
    bring();
    expect(await screen.findByText(/is not a date/)).toBeTruthy();
    expect(screen.getByText(/1 Feb 2001 to 3 Feb 2001/)).toBeTruthy();
  });

  test('what is no weather is refused in words', async () => {
    serve({
      'POST /api/weather/previews': refusal(400, 'Cannot be taken', [
        { pointer: '/file', message: 'The file names no column of days.' },
      ]),
    });
    opened(43.1);
    bring();
    expect(await screen.findByText('The file names no column of days.')).toBeTruthy();
    expect(save().hasAttribute('disabled')).toBe(true);
  });
});
