import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { useLocation } from 'react-router';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { rendered, serve, type Called } from '../ui/fakeServer';
import { JumpButton } from './Jump';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const Where = () => <output>{useLocation().pathname}</output>;
const FIELDS = ['Upper Bank', 'Kettle Hollow'].map((name, i) => ({
  fieldId: `f${i}`,
  name,
  farmName: 'Thornlea',
}));

function opened() {
  serve({
    'GET /api/fields': (c: Called) => {
      const find = new URLSearchParams(c.what.split('?')[1]).get('find') ?? '';
      const fields = FIELDS.filter((f) => f.name.toLowerCase().includes(find.toLowerCase()));
      return { fields, matching: fields.length, total: 2, pending: 0 };
    },
  });
  rendered(
    <>
      <JumpButton />
      <Where />
    </>,
  );
  fireEvent.keyDown(window, { key: '/' });
  return screen.getByRole('combobox', { name: 'Jump to' });
}
const chosen = () =>
  screen.getAllByRole('option').find((o) => o.getAttribute('aria-selected') === 'true')
    ?.textContent;

describe('jumping anywhere', () => {
  test('a field is found by part of its name and gone to with Enter', async () => {
    const box = opened();
    fireEvent.change(box, { target: { value: 'kettle' } });
    expect(await screen.findByText('Kettle Hollow')).toBeTruthy();
    expect(screen.queryByText('Upper Bank')).toBeNull();
    fireEvent.keyDown(box, { key: 'Enter' });
    expect(screen.getByRole('status').textContent).toBe('/fields/f1');
    expect(screen.queryByRole('listbox')).toBeNull();
  });

  test('arrows move and stop at both ends', async () => {
    const box = opened();
    await screen.findByText('Upper Bank');
    expect(chosen()).toBe('Upper Bank Thornlea');
    fireEvent.keyDown(box, { key: 'ArrowUp' });
    expect(chosen()).toBe('Upper Bank Thornlea');
    fireEvent.keyDown(box, { key: 'ArrowDown' });
    expect(chosen()).toBe('Kettle Hollow Thornlea');
    for (let i = 0; i < 20; i++) fireEvent.keyDown(box, { key: 'ArrowDown' });
    expect(chosen()).toBe('People view');
    expect(box.getAttribute('aria-activedescendant')).toBe('jump-5');
  });

  test('a name nobody has says so, and Enter goes nowhere', async () => {
    const box = opened();
    await screen.findByText('Upper Bank');
    fireEvent.change(box, { target: { value: 'nothing like it' } });
    expect(await screen.findByText('nothing of that name')).toBeTruthy();
    fireEvent.keyDown(box, { key: 'Enter' });
    expect(document.querySelector('output')?.textContent).toBe('/');
    expect(within(screen.getByRole('listbox')).queryAllByRole('option')).toHaveLength(0);
  });
});
