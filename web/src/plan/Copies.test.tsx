import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { refusal, serve } from '../ui/fakeServer';
import { Copies } from './Copies';
import { opened } from './openedPlan';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const PLANS = 'GET /api/fields/f1/plans';
const own = { id: 'p0', label: '', current: true, author: 'Ann', savedAt: '2026-11-30T09:15:00Z' };
const copy = { ...own, id: 'p1', label: 'ended two weeks later', current: false };
const session = (role: string) => ({ signedIn: true, role });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('the plans of a field', () => {
  test('one plan is copied under what is tried in it', async () => {
    serve({ [PLANS]: [{ ...own, id: 'p1' }], 'GET /api/session': session('adviser') });
    const bench = opened(<Copies />);
    press('copy this plan');
    press('Make the copy');
    expect(bench.copied).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText('What is tried in it'), {
      target: { value: ' ended two weeks later ' },
    });
    press('Make the copy');
    await waitFor(() => expect(bench.copied).toHaveBeenCalledWith('ended two weeks later'));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(screen.queryByRole('link', { name: 'compare' })).toBeNull();
  });

  test('a copy is not removed before it is said what goes with it', async () => {
    const called = serve({ [PLANS]: [own, copy], 'GET /api/session': session('adviser') });
    opened(<Copies />, { current: false });
    fireEvent.click(await screen.findByRole('button', { name: 'remove the copy' }));
    const dialog = screen.getByRole('dialog');
    expect(
      await within(dialog).findByText(/^ended two weeks later: it goes with its/),
    ).toBeTruthy();
    expect(called.some((c) => c.what.startsWith('DELETE'))).toBe(false);
    press('Remove it');
    await waitFor(() => expect(called.some((c) => c.what === 'DELETE /api/plans/p1')).toBe(true));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  test('why it cannot be removed stands where it was asked, and closing leaves everything', async () => {
    serve({
      [PLANS]: [own, copy],
      'GET /api/session': session('adviser'),
      'DELETE /api/plans/p1': refusal(400, 'This is the field’s own plan.'),
    });
    opened(<Copies />, { current: false });
    fireEvent.click(await screen.findByRole('button', { name: 'remove the copy' }));
    press('Remove it');
    expect(await screen.findByText('This is the field’s own plan.')).toBeTruthy();
    press('close');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('an assistant makes a copy the field’s own but removes none; two plans can be compared', async () => {
    const called = serve({ [PLANS]: [own, copy], 'GET /api/session': session('assistant') });
    opened(<Copies />, { current: false });
    const compare = await screen.findByRole('link', { name: 'compare' });
    expect(compare.getAttribute('href')).toBe('/fields/f1/compared?plan=p0&plan=p1&from=p1');
    expect(screen.queryByRole('button', { name: 'remove the copy' })).toBeNull();
    press('make it the field’s own');
    await waitFor(() =>
      expect(called.some((c) => c.what === 'POST /api/plans/p1/current')).toBe(true),
    );
  });
});
