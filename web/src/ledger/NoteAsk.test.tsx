import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import type { Field } from '../api/client';
import { PlanContext, type OpenPlan } from '../plan/context';
import { NoteAsk } from './NoteAsk';

const AGENT = { activeIngredient: 'agent', appliedOn: '2026-05-20' };

function asked(
  kind: 'livestock' | 'label-interval' | 'inoculated',
  of: string,
  field: Partial<Field>,
) {
  const change = vi.fn();
  const evaluate = vi.fn(() => Promise.resolve());
  const open = {
    field,
    fieldSave: { change, save: { problems: [] } },
    session: { evaluate },
  } as unknown as OpenPlan;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <PlanContext value={open}>
        <NoteAsk ask={{ kind, of }} />
      </PlanContext>
    </QueryClientProvider>,
  );
  return { change, evaluate };
}

describe('a fact that a note lacks', () => {
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  test('the stock is kept with the field', () => {
    const { change } = asked('livestock', '', {});
    const box = screen.getByLabelText(/Stock that have access/);
    fireEvent.change(box, { target: { value: '40 beef cows' } });
    fireEvent.blur(box);
    expect(change).toHaveBeenCalledWith({ livestock: '40 beef cows' });
  });

  test('the interval goes to the herbicide that was meant, and to no other', () => {
    const other = { activeIngredient: 'other', appliedOn: '2026-04-01' };
    const { change } = asked('label-interval', 'agent 2026-05-20', { residuals: [other, AGENT] });
    const box = screen.getByLabelText(/Interval on the label/);
    fireEvent.change(box, { target: { value: '9' } });
    fireEvent.blur(box);
    expect(change).toHaveBeenCalledWith({ residuals: [other, { ...AGENT, intervalMonths: 9 }] });
  });

  test('a herbicide that is no longer on record is not asked about', () => {
    asked('label-interval', 'agent 2026-05-20', { residuals: [] });
    expect(screen.queryByLabelText(/Interval/)).toBeNull();
  });

  test('a lot is marked only after the tag was asked for, and a refusal is shown', async () => {
    const sent = vi.fn((request: Request) =>
      Promise.resolve(
        request.method === 'GET'
          ? new Response(JSON.stringify([]), {
              status: 200,
              headers: { 'Content-Type': 'application/json' },
            })
          : new Response(null, { status: 500 }),
      ),
    );
    vi.stubGlobal('fetch', sent);
    const { evaluate } = asked('inoculated', 'lot-1', {});
    fireEvent.click(screen.getByText('this lot comes inoculated'));
    expect(sent).not.toHaveBeenCalled();
    fireEvent.click(screen.getByText('yes, it comes inoculated'));
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toContain('not in the seed store'),
    );
    expect(evaluate).not.toHaveBeenCalled();
  });
});
