import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';

import type { Lot } from '../api/client';
import { blankLot, type LotDraft } from './lotDraft';
import { LotForm } from './LotForm';

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json' },
  });

/** What was sent of the lot; the first answers given are taken in turn. */
function server(sent: { base?: Lot; mine: Lot }[], ...answers: Response[]) {
  return vi.fn(async (input: Request | string) => {
    if (typeof input === 'string') return json({ signedIn: true });
    const path = new URL(input.url).pathname;
    if (path === '/api/knowledge')
      return json({ species: [{ id: 'cereal-rye', name: 'Cereal rye' }] });
    if (path.startsWith('/api/lots/')) {
      sent.push((await input.clone().json()) as { base?: Lot; mine: Lot });
      return answers.shift() ?? json(sent.at(-1)!.mine);
    }
    return json({ signedIn: true, units: 'metric' });
  });
}

function opened(draft: LotDraft, kept?: Lot) {
  const done = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <LotForm draft={draft} kept={kept} onDone={done} />
    </QueryClientProvider>,
  );
  return done;
}

const type = (label: string, text: string) => {
  const box = screen.getByLabelText(label);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const save = () => fireEvent.click(screen.getByRole('button', { name: 'Save the lot' }));

const LOT: Lot = {
  id: 'lot-1',
  species: 'cereal-rye',
  label: 'R 1',
  purityPercent: 98,
  germinationPercent: 90,
};

describe('a seed lot', () => {
  const sent: { base?: Lot; mine: Lot }[] = [];
  beforeEach(() => {
    sent.length = 0;
    vi.stubGlobal('fetch', server(sent));
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe() {}
        unobserve() {}
        disconnect() {}
      },
    );
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  test('what is missing is said at its place, and nothing is sent', async () => {
    opened(blankLot());
    type('Purity', '98');
    save();
    await waitFor(() => expect(screen.getAllByRole('alert')).toHaveLength(3));
    expect(screen.getAllByRole('alert').map((a) => a.textContent)).toEqual([
      'choose a species',
      'a name, to know it by',
      'germination is on the tag, in percent',
    ]);
    type('Germination', '90');
    await waitFor(() => expect(screen.getAllByRole('alert')).toHaveLength(2));
    expect(sent).toEqual([]);
  });

  test('a whole lot is sent with what it grew from, and without what was emptied', async () => {
    const kept = { ...LOT, supplier: 'The co-op' };
    const done = opened(kept, kept);
    type('Supplier', '');
    fireEvent.click(screen.getByLabelText('comes inoculated'));
    save();
    await waitFor(() => expect(done).toHaveBeenCalled());
    expect(sent).toEqual([{ base: kept, mine: { ...LOT, inoculated: true } }]);
  });

  test('what the server refuses is said at its place', async () => {
    const problems = [{ pointer: '/bagSize', message: 'a bag of at least 1 kg' }];
    vi.stubGlobal('fetch', server(sent, json({ detail: 'Cannot be taken', problems }, 400)));
    const done = opened(LOT);
    save();
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toBe('a bag of at least 1 kg'),
    );
    expect(done).not.toHaveBeenCalled();
  });

  test('somebody else changed it: keeping mine sends it upon theirs', async () => {
    const theirs = { ...LOT, purityPercent: 97 };
    vi.stubGlobal(
      'fetch',
      server(
        sent,
        json(
          {
            detail: 'It was changed elsewhere.',
            current: theirs,
            theirs: ['purity 98 to 97'],
            overlaps: [],
          },
          409,
        ),
      ),
    );
    const done = opened({ ...LOT, purityPercent: 96 }, LOT);
    save();
    fireEvent.click(await screen.findByRole('button', { name: 'keep mine' }));
    save();
    await waitFor(() => expect(done).toHaveBeenCalled());
    expect(sent.map((s) => s.base?.purityPercent)).toEqual([98, 97]);
    expect(sent[1]!.mine.purityPercent).toBe(96);
  });
});
