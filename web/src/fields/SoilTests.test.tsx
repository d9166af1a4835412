import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import type { Field } from '../api/client';
import { choose } from '../ui/choosing';
import { rendered, serve, type Called } from '../ui/fakeServer';
import { SoilTests } from './SoilTests';

type Tests = NonNullable<Field['soilTests']>;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const TEST: Tests[number] = { date: '2026-03-14', depth: { value: 20, unit: 'cm' }, ph: 6.4 };
const table = (more: object = {}) => ({
  header: ['Tag', 'pH', 'OM %'],
  mapping: { date: 'Tag', ph: 'pH' },
  needed: [],
  tests: [TEST],
  problems: [],
  decimalSignNeeded: false,
  dayOrderNeeded: false,
  ...more,
});
function opened(tests?: Tests) {
  const change = vi.fn();
  rendered(<SoilTests tests={tests} us={false} problems={[]} onChange={change} />);
  return change;
}
const bring = () =>
  fireEvent.change(screen.getByLabelText('Table of soil tests'), {
    target: { files: [new File(['x'], 'lab.csv')] },
  });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const asked = (called: Called[]) =>
  called.map((c) => decodeURIComponent(c.what)).filter((w) => w.includes('soil-tests'));

describe('soil tests from a laboratory', () => {
  test('are added to those that are there, when somebody says so', async () => {
    serve({ 'POST /api/soil-tests/tables': table() });
    const before: Tests = [{ date: '2023-11-02', ph: 6.2 }];
    const change = opened(before);
    bring();
    const dialog = await screen.findByRole('dialog');
    expect(within(dialog).getByText('14 Mar 2026')).toBeTruthy();
    expect(within(dialog).getByText('20 cm')).toBeTruthy();
    expect(change).not.toHaveBeenCalled();
    press('Add to the field');
    expect(change).toHaveBeenCalledWith([...before, TEST]);
  });

  test('a column that was not guessed is chosen by hand, and the file looked at once more', async () => {
    const called = serve({
      'POST /api/soil-tests/tables': (c: Called) =>
        c.what.includes('organicMatter') ? table() : table({ needed: ['date'], tests: [] }),
    });
    opened();
    bring();
    expect((await screen.findByRole('alert')).textContent).toContain('day of sampling');
    expect(screen.getByRole('button', { name: 'Add to the field' }).hasAttribute('disabled')).toBe(
      true,
    );
    choose('organic matter, %', 'OM %');
    await waitFor(() => expect(screen.queryByText(/day of sampling/)).toBeNull());
    expect(asked(called).at(-1)).toContain('map=organicMatter:OM+%');
  });

  test('dates that can be two days are asked about, and nothing is guessed', async () => {
    const called = serve({
      'POST /api/soil-tests/tables': (c: Called) =>
        c.what.includes('dayOrder=mdy')
          ? table()
          : table({
              tests: [],
              dayOrderNeeded: true,
              problems: [{ line: 2, column: 'Tag', message: "'3/4/2026' can be two days" }],
            }),
    });
    opened();
    bring();
    expect(await screen.findByText(/can be two days/)).toBeTruthy();
    press(/^The first/);
    await waitFor(() => expect(screen.queryByText(/can be two days/)).toBeNull());
    expect(asked(called)).toHaveLength(2);
    expect(screen.getByRole('button', { name: 'Add to the field' }).hasAttribute('disabled')).toBe(
      false,
    );
  });

  test('a cell with an error is named by line and column', async () => {
    serve({
      'POST /api/soil-tests/tables': table({
        problems: [{ line: 3, column: 'pH', message: '67 cannot be; from 2 to 11' }],
      }),
    });
    opened();
    bring();
    const item = (await screen.findByText(/67 cannot be/)).closest('li')!;
    expect(item.textContent).toBe('line 3, pH: 67 cannot be; from 2 to 11');
  });
});
