import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { refusal, serve, type Called } from '../ui/fakeServer';
import { History } from './History';
import { opened } from './openedPlan';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const entry = (number: number, more: object = {}) => ({
  number,
  kind: 'edit',
  author: 'Ann',
  savedAt: '2026-11-30T09:15:00Z',
  changes: [`change ${number}`],
  ...more,
});
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const REVISIONS = 'GET /api/plans/p1/revisions';

describe('the history of a plan', () => {
  test('says who did what, and brings back any of it but what is there', async () => {
    serve({
      [REVISIONS]: [
        entry(1),
        entry(7, { kind: 'undo', target: 6, changes: [] }),
        entry(6, { kind: 'import' }),
        entry(5, { kind: 'create', author: 'Ben' }),
      ],
    });
    const bench = opened(<History />);
    press('History');
    expect(await screen.findByText(/Ann took back 6/)).toBeTruthy();
    expect(screen.getByText(/Ann taken from a file/)).toBeTruthy();
    expect(screen.getByText(/Ben made/)).toBeTruthy();
    expect(screen.getByText('change 6')).toBeTruthy();
    expect(screen.getByText('as it is')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Bring back revision 1' })).toBeNull();
    press('Bring back revision 6');
    expect(bench.restore).toHaveBeenCalledWith(6);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('older ones are asked for by the page', async () => {
    const all = Array.from({ length: 45 }, (_, i) => entry(100 - i));
    const called = serve({
      [REVISIONS]: (c: Called) =>
        all.filter((e) => !c.what.includes('before=') || e.number < 61).slice(0, 40),
    });
    opened(<History />);
    press('History');
    expect(await screen.findByText('change 61')).toBeTruthy();
    expect(screen.queryByText('change 60')).toBeNull();
    press('Older');
    expect(await screen.findByText('change 56')).toBeTruthy();
    expect(called.filter((c) => c.what.startsWith(REVISIONS)).at(-1)?.what).toContain('before=61');
    expect(screen.queryByRole('button', { name: 'Older' })).toBeNull();
  });

  test('that it cannot be read is told, and nothing is asked before it is opened', async () => {
    const called = serve({ [REVISIONS]: refusal(503, 'The database does not answer.') });
    opened(<History />);
    expect(called.some((c) => c.what.startsWith(REVISIONS))).toBe(false);
    press('History');
    expect((await screen.findByRole('alert')).textContent).toContain(
      'The database does not answer.',
    );
  });
});
