import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { refusal, rendered, serve, type Called } from '../ui/fakeServer';
import { LotTable } from './LotTable';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const RYE = {
  id: 'csv-rye-r-1',
  species: 'cereal-rye',
  label: 'R-1',
  purityPercent: 98,
  germinationPercent: 90,
  stock: { value: 4000, unit: 'lb' },
  price: { value: 0.22, unit: '¤/lb' },
  testedOn: '2026-02-28',
};
const read = (more: object = {}) => ({
  lots: [RYE],
  problems: [],
  unknownColumns: [],
  decimalSignNeeded: false,
  dayOrderNeeded: false,
  ...more,
});
const page = () => rendered(<LotTable name={(s) => (s === 'cereal-rye' ? 'Cereal rye' : s)} />);
const bring = () =>
  fireEvent.change(screen.getByLabelText('Table of lots'), {
    target: { files: [new File(['x'], 'lots.csv')] },
  });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const asked = (called: Called[]) =>
  called.map((c) => c.what).filter((w) => w.startsWith('POST /api/lots/tables'));

describe('seed lots from a table', () => {
  test('all that was read of a lot is shown before it is kept', async () => {
    const called = serve({ 'POST /api/lots/tables': read() });
    page();
    bring();
    expect(
      await screen.findByText(
        '98 % pure, 90 % germination, in store 4000 lb, price 0.22 /lb, tested 28 Feb 2026',
      ),
    ).toBeTruthy();
    expect(called.some((c) => c.what.startsWith('PUT'))).toBe(false);
    press('Add to the store');
    await waitFor(() =>
      expect(called.find((c) => c.what === 'PUT /api/lots/csv-rye-r-1')?.body).toEqual({
        mine: RYE,
      }),
    );
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  test('bad lines and columns nobody knows are named, and the good ones can still be kept', async () => {
    serve({
      'POST /api/lots/tables': read({
        problems: [
          { line: 4, message: "species: 'Radish unknown' is not a species of the library" },
        ],
        unknownColumns: ['Remark'],
      }),
    });
    page();
    bring();
    expect(await screen.findByText(/is not a species of the library/)).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toContain('this column: Remark');
    expect(screen.getByRole('button', { name: 'Add to the store' }).hasAttribute('disabled')).toBe(
      false,
    );
  });

  test('both questions about a file are asked once, and the first answer is not forgotten with the second', async () => {
    const called = serve({
      'POST /api/lots/tables': (c: Called) =>
        read({
          lots: [],
          decimalSignNeeded: !c.what.includes('decimalSign'),
          dayOrderNeeded: !c.what.includes('dayOrder'),
        }),
    });
    page();
    bring();
    await screen.findByText('How does this table write numbers?');
    press(/^1,200 is 1200/);
    await waitFor(() =>
      expect(screen.queryByText('How does this table write numbers?')).toBeNull(),
    );
    press(/^The second/);
    await waitFor(() => expect(screen.queryByText(/Which is the month/)).toBeNull());
    expect(asked(called)).toEqual([
      'POST /api/lots/tables',
      'POST /api/lots/tables?decimalSign=point',
      'POST /api/lots/tables?decimalSign=point&dayOrder=dmy',
    ]);
    expect(screen.getByRole('button', { name: 'Add to the store' }).hasAttribute('disabled')).toBe(
      true,
    );
  });

  test('a lot that is there with other values is replaced only when somebody says so', async () => {
    const there = { ...RYE, stock: { value: 10, unit: 'lb' } };
    const called = serve({
      'POST /api/lots/tables': read(),
      'GET /api/lots': [there],
      'PUT /api/lots/csv-rye-r-1': (c: Called) =>
        (c.body as { base?: object }).base ? RYE : refusal(409, 'It is there already.'),
    });
    page();
    bring();
    await screen.findByText(/98 % pure/);
    press('Add to the store');
    expect(await screen.findByText(/Already in the store with other values: R-1/)).toBeTruthy();
    press('Replace them by the table’s');
    await waitFor(() =>
      expect(called.filter((c) => c.what.startsWith('PUT')).at(-1)?.body).toEqual({
        base: there,
        mine: RYE,
      }),
    );
  });

  test('a file that is no table is refused with why', async () => {
    serve({ 'POST /api/lots/tables': refusal(400, 'line 1 names the columns') });
    page();
    bring();
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Nothing was read: line 1 names the columns',
    );
  });
});
