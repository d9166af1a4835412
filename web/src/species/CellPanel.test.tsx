import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { choose } from '../ui/choosing';
import { refusal, rendered, serve } from '../ui/fakeServer';
import { CellPanel } from './CellPanel';
import type { Column, Library, Sheet } from './sheet';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const RATE = {
  id: 'rateKgHa',
  name: 'Full rate',
  unit: 'kg/ha',
  kind: 'number',
  low: 1,
  high: 300,
  choices: [],
  section: 'seed',
  confidence: 'high',
} as unknown as Column;
const WET = {
  ...RATE,
  id: 'wet',
  name: 'Wet soil',
  unit: undefined,
  kind: 'choice',
  choices: ['poor', 'good'],
  low: undefined,
} as Column;
const NAME = {
  ...RATE,
  id: 'name',
  name: 'Name',
  unit: undefined,
  kind: 'fixed',
} as unknown as Column;

const sheet = (more: object = {}) =>
  ({
    id: 'cereal-rye',
    name: 'Cereal rye',
    cells: { rateKgHa: '100', wet: 'good', name: 'Cereal rye' },
    sources: { rateKgHa: 0 },
    corrections: {},
    ...more,
  }) as unknown as Sheet;
const library = {
  sources: [{ text: 'a handbook', status: 'from memory' }],
} as unknown as Library;

function opened(column: Column, of: Sheet, answers: Record<string, unknown> = {}) {
  const called = serve({ 'GET /api/species/cereal-rye/corrections': [], ...answers });
  const close = vi.fn();
  rendered(<CellPanel library={library} sheet={of} column={column} onClose={close} />);
  return { called, close };
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string | RegExp, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

describe('one value of the library', () => {
  test('shows where it is from, and takes the own value of the practice with its reason', async () => {
    const { called, close } = opened(RATE, sheet());
    expect(screen.getByText('a handbook')).toBeTruthy();
    expect(screen.getByText('from memory')).toBeTruthy();
    type(/^Value, kg\/ha/, '90,5');
    type(/^Why/, 'weighed here');
    press('Use this value');
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(called.find((c) => c.what.startsWith('PUT'))).toEqual({
      what: 'PUT /api/species/cereal-rye/cells/rateKgHa',
      body: { value: '90.5', why: 'weighed here' },
    });
  });

  test('what cannot stand is told at its field and stays typed', async () => {
    const { close } = opened(RATE, sheet(), {
      'PUT /api/species/cereal-rye/cells/rateKgHa': refusal(400, 'Cannot be taken', [
        { pointer: '/value', message: 'from 1 to 300 kg/ha' },
      ]),
    });
    type(/^Value/, '900');
    press('Use this value');
    expect(await screen.findByText('from 1 to 300 kg/ha')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/^Value/).value).toBe('900');
    expect(close).not.toHaveBeenCalled();
  });

  test('a corrected value shows the library’s beside it and goes back to it', async () => {
    const own = sheet({
      cells: { rateKgHa: '90' },
      corrections: { rateKgHa: { library: '100', by: 'ann', on: '2026-09-01', why: 'weighed' } },
    });
    const { called, close } = opened(RATE, own, {
      'GET /api/species/cereal-rye/corrections': [
        { column: 'rateKgHa', value: '90', by: 'Ann', on: '2026-09-01', why: 'weighed' },
        { column: 'heightM', value: '2', by: 'Ann', on: '2026-09-01', why: 'seen' },
      ],
    });
    expect(screen.getByText('that of your own correction')).toBeTruthy();
    expect(await screen.findByText(/by Ann/)).toBeTruthy();
    expect(screen.queryByText('seen')).toBeNull();
    press("Back to the library's");
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(called.some((c) => c.what === 'DELETE /api/species/cereal-rye/cells/rateKgHa')).toBe(
      true,
    );
  });

  test('one of a few is chosen, and what is fixed cannot be corrected', async () => {
    const { called } = opened(WET, sheet());
    choose('Value', 'poor');
    type(/^Why/, 'seen drown');
    press('Use this value');
    await waitFor(() =>
      expect(called.find((c) => c.what.startsWith('PUT'))?.body).toEqual({
        value: 'poor',
        why: 'seen drown',
      }),
    );
    cleanup();
    opened(NAME, sheet());
    expect(screen.queryByText('Use another value in this practice')).toBeNull();
  });
});
