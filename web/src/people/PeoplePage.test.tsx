import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { choose } from '../ui/choosing';
import { refusal, rendered, serve } from '../ui/fakeServer';
import { PeoplePage } from './PeoplePage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const ANN = {
  id: 1,
  email: 'ann@example.org',
  name: 'Ann',
  role: 'adviser',
  joinedAt: '2026-03-02T08:00:00Z',
};
const BEN = {
  id: 2,
  email: 'ben@example.org',
  name: '',
  role: 'assistant',
  joinedAt: '2026-05-04T08:00:00Z',
};
const people = (more: object = {}) => ({
  you: 1,
  zone: 'Z',
  people: [ANN, BEN],
  invitations: [
    { id: 7, role: 'assistant', madeBy: 'ann@example.org', expiresAt: '2026-12-08T08:00:00Z' },
  ],
  ...more,
});
const session = (role: string) => ({
  signedIn: true,
  role,
  practice: 'Hedge and Furrow',
  units: 'metric',
});
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the people of a practice', () => {
  test('an adviser sees everybody, and changes what somebody is', async () => {
    const called = serve({ 'GET /api/session': session('adviser'), 'GET /api/people': people() });
    rendered(<PeoplePage />);
    expect(await screen.findByText('Hedge and Furrow')).toBeTruthy();
    const row = (await screen.findByText('ben@example.org')).closest('tr')!;
    expect(within(row).getByText('4 May 2026')).toBeTruthy();
    expect(
      within(screen.getByText('ann@example.org').closest('tr')!).getByText('you'),
    ).toBeTruthy();
    choose('Role of ben@example.org', 'adviser');
    await waitFor(() =>
      expect(called.find((c) => c.what === 'PUT /api/people/2/role')?.body).toEqual({
        role: 'adviser',
      }),
    );
  });

  test('nobody is removed before it is said what that means', async () => {
    const called = serve({ 'GET /api/session': session('adviser'), 'GET /api/people': people() });
    rendered(<PeoplePage />);
    await screen.findByText('ben@example.org');
    expect(
      screen.queryByRole('button', { name: 'Remove ann@example.org from the practice' }),
    ).toBeNull();
    press('Remove ben@example.org from the practice');
    expect(screen.getByText(/signed out everywhere/)).toBeTruthy();
    expect(called.some((c) => c.what.startsWith('DELETE'))).toBe(false);
    press('Remove them');
    await waitFor(() => expect(called.some((c) => c.what === 'DELETE /api/people/2')).toBe(true));
    await waitFor(() => expect(screen.queryByText(/signed out everywhere/)).toBeNull());
  });

  test('why somebody cannot be removed stands where it was asked', async () => {
    serve({
      'GET /api/session': session('adviser'),
      'GET /api/people': people(),
      'DELETE /api/people/2': refusal(400, 'A practice has at least one adviser.'),
    });
    rendered(<PeoplePage />);
    await screen.findByText('ben@example.org');
    press('Remove ben@example.org from the practice');
    press('Remove them');
    const dialog = await screen.findByRole('dialog');
    expect(await within(dialog).findByText('A practice has at least one adviser.')).toBeTruthy();
  });

  test('a link is shown once, and an open one can be withdrawn', async () => {
    const called = serve({
      'GET /api/session': session('adviser'),
      'GET /api/people': people(),
      'POST /api/invitations': {
        id: 8,
        role: 'adviser',
        expiresAt: '2026-12-08T08:00:00Z',
        token: 'once',
      },
    });
    rendered(<PeoplePage />);
    await screen.findByText('ben@example.org');
    press('Make a link');
    expect(await screen.findByDisplayValue(/\/join#once$/)).toBeTruthy();
    press('Withdraw the invitation made by ann@example.org, number 7');
    await waitFor(() =>
      expect(called.some((c) => c.what === 'DELETE /api/invitations/7')).toBe(true),
    );
  });

  test('an assistant sees who belongs to it and can change nobody', async () => {
    serve({ 'GET /api/session': session('assistant'), 'GET /api/people': people({ you: 2 }) });
    rendered(<PeoplePage />);
    await screen.findByText('ann@example.org');
    expect(screen.queryByLabelText('Role of ann@example.org')).toBeNull();
    expect(screen.queryByText('Invite somebody')).toBeNull();
    expect(screen.queryByRole('button', { name: /from the practice/ })).toBeNull();
    expect(screen.getByText('Time zone: UTC')).toBeTruthy();
  });

  test('a password that is not the present one is told at its field, and what was typed stays', async () => {
    serve({
      'GET /api/session': session('adviser'),
      'GET /api/people': people(),
      'PUT /api/me/password': refusal(400, 'Cannot be taken', [
        { pointer: '/old', message: 'this is not your present password' },
      ]),
    });
    rendered(<PeoplePage />);
    const old = await screen.findByLabelText<HTMLInputElement>('Present password');
    fireEvent.change(old, { target: { value: 'wrong horse' } });
    fireEvent.change(screen.getByLabelText('New password'), { target: { value: 'right horse!' } });
    press('Change the password');
    expect(await screen.findByText('this is not your present password')).toBeTruthy();
    expect(old.value).toBe('wrong horse');
    expect(old.getAttribute('aria-invalid')).toBe('true');
  });
});
