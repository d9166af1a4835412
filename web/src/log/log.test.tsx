import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';

import type { Evaluation } from '../api/client';
import { opened } from '../plan/openedPlan';
import { refusal, serve, type Called } from '../ui/fakeServer';
import { FieldGates } from './FieldGates';
import { waitingEntries } from './waiting';
import { PLAN } from '../plan/openedPlan';

const COVER = PLAN.covers[0]!;

beforeEach(() => {
  localStorage.clear();
  document.cookie = 'XSRF-TOKEN=t';
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const written = (called: Called[]) => called.filter((c) => c.what.startsWith('PUT /api/fields'));
const gate = (name: string) => {
  fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}`) }));
  return screen.getByRole('dialog');
};

describe('a gate in the field', () => {
  test('is written down once with what was seen, and closes', async () => {
    const called = serve({ 'GET /api/fields/f1/log': [] });
    opened(<FieldGates cover={COVER} />);
    const sheet = gate('Kill check');
    const write = within(sheet).getByRole('button', { name: 'Write it down' });
    expect(write.hasAttribute('disabled')).toBe(true);
    fireEvent.click(within(sheet).getByRole('button', { name: '40' }));
    fireEvent.click(write);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    const [put] = written(called);
    expect(written(called)).toHaveLength(1);
    expect(put!.body).toMatchObject({
      coverId: COVER.id,
      check: { gate: { kind: 'kill', alivePercent: 40 } },
    });
    expect(waitingEntries()).toEqual([]);
  });

  test('is kept on the phone while there is no connection, and sent when there is', async () => {
    let away = true;
    const put = vi.fn(() => (away ? refusal(503, 'away') : new Response(null, { status: 204 })));
    const called = serve({ 'GET /api/fields/f1/log': [] });
    const fetched = globalThis.fetch;
    vi.stubGlobal('fetch', (input: Request) =>
      input.method === 'PUT' ? Promise.resolve(put()) : fetched(input),
    );
    opened(<FieldGates cover={COVER} />);
    const sheet = gate('Soil');
    fireEvent.click(within(sheet).getByRole('button', { name: 'rolls to a worm' }));
    fireEvent.click(within(sheet).getByRole('button', { name: 'Write it down' }));
    expect(await screen.findByText(/One look is kept on this phone/)).toBeTruthy();
    const ref = waitingEntries()[0]!.ref;
    away = false;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(waitingEntries()).toEqual([]));
    expect(ref).toMatch(/^e/);
    expect(put.mock.calls.length).toBeGreaterThan(1);
    expect(called.length).toBeGreaterThan(0);
  });

  test('what the server refuses stays typed, with the reason', async () => {
    serve({ 'GET /api/fields/f1/log': [] });
    const fetched = globalThis.fetch;
    vi.stubGlobal('fetch', (input: Request) =>
      input.method === 'PUT'
        ? Promise.resolve(
            refusal(400, 'no', [{ pointer: '/check/gate/alivePercent', message: 'too much' }]),
          )
        : fetched(input),
    );
    opened(<FieldGates cover={COVER} />);
    const sheet = gate('Kill check');
    fireEvent.click(within(sheet).getByRole('button', { name: '90' }));
    fireEvent.click(within(sheet).getByRole('button', { name: 'Write it down' }));
    expect((await screen.findAllByText(/too much/)).length).toBeGreaterThan(0);
    expect(
      within(screen.getByRole('dialog')).getByRole('button', { name: '90' }).ariaPressed ??
        within(screen.getByRole('dialog'))
          .getByRole('button', { name: '90' })
          .getAttribute('aria-pressed'),
    ).toBe('true');
    expect(waitingEntries()).toEqual([]);
  });

  test('shows what stands with its verdict, takes it back, and takes a proposal over by a click', async () => {
    const entry = {
      ref: 'e1',
      coverId: COVER.id,
      on: '2026-04-01',
      author: 'ann@example.org',
      at: '2026-04-01T10:00:00Z',
      check: { id: 'e1', on: '2026-04-01', gate: { kind: 'winter', alivePercent: 5 } },
      stands: true,
    };
    const called = serve({
      'GET /api/fields/f1/log': [entry, { ...entry, ref: 'e0', stands: false, on: '2026-03-01' }],
    });
    const verdict = {
      about: 'winter',
      word: 'winter took it',
      said: '5 % alive.',
      causes: [],
      proposal: { species: 'cereal-rye', column: 'killC', value: '-17', why: 'seen' },
    };
    opened(<FieldGates cover={COVER} />, {
      evaluation: (e: Evaluation) => ({
        ...e,
        grow: {
          ...e.grow,
          steps: {
            [COVER.id]: {
              clocks: [],
              grazings: [],
              stockCautions: [],
              uses: [],
              quality: [],
              verdicts: { e1: [verdict] },
            },
          },
        },
      }),
    });
    expect(await screen.findByText('5 % alive.', { exact: false })).toBeTruthy();
    expect(screen.queryByText('1 Mar 2026')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /as killed at -17/ }));
    await screen.findByText(/taken into this practice/);
    expect(called.some((c) => c.what === 'PUT /api/species/cereal-rye/cells/killC')).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: /^Take back/ }));
    await waitFor(() => expect(written(called)).toHaveLength(1));
    expect(written(called)[0]!.body).toMatchObject({ replaces: 'e1' });
  });
});
