import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { refusal, rendered, serve } from '../ui/fakeServer';
import { JoinPage } from './JoinPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  window.location.hash = '';
});

const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

describe('joining by a link', () => {
  test('names the practice and the part, and sends the secret of the link', async () => {
    window.location.hash = '#once-only';
    const called = serve({
      'POST /api/invitations/opened': { practice: 'Hedge and Furrow', role: 'assistant' },
      'POST /api/invitations/accepted': { signedIn: true },
    });
    rendered(<JoinPage />);
    expect(await screen.findByText('Join Hedge and Furrow')).toBeTruthy();
    expect(screen.getByText('as an assistant')).toBeTruthy();
    type('Your name', 'Ben');
    type('E-mail address', 'ben@example.org');
    type('Password', 'correct horse');
    fireEvent.click(screen.getByRole('button', { name: 'Join' }));
    await waitFor(() =>
      expect(called.find((c) => c.what === 'POST /api/invitations/accepted')?.body).toMatchObject({
        token: 'once-only',
        name: 'Ben',
        email: 'ben@example.org',
      }),
    );
  });

  test('a link that is used up says so and leads to signing in', async () => {
    window.location.hash = '#old';
    serve({
      'POST /api/invitations/opened': refusal(410, 'This invitation is used up or too old.'),
    });
    rendered(<JoinPage />);
    expect((await screen.findByRole('alert')).textContent).toBe(
      'This invitation is used up or too old.',
    );
    expect(screen.getByRole('link', { name: 'Sign in' }).getAttribute('href')).toBe('/sign-in');
    expect(screen.queryByLabelText('Password')).toBeNull();
  });

  test('an address in use is told at its field', async () => {
    window.location.hash = '#once-only';
    serve({
      'POST /api/invitations/opened': { practice: 'Hedge and Furrow', role: 'adviser' },
      'POST /api/invitations/accepted': refusal(409, 'Cannot be taken', [
        { pointer: '/email', message: 'has an account already' },
      ]),
    });
    rendered(<JoinPage />);
    await screen.findByText('as an adviser');
    type('E-mail address', 'ann@example.org');
    fireEvent.click(screen.getByRole('button', { name: 'Join' }));
    expect(await screen.findByText('has an account already')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('E-mail address').value).toBe('ann@example.org');
  });
});
