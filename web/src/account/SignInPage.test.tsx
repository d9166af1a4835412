import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { refusal, rendered, serve } from '../ui/fakeServer';
import { SignInPage } from './SignInPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('the way in', () => {
  test('a wrong password keeps the address that was typed', async () => {
    serve({ 'POST /api/session': refusal(401, 'Address or password is wrong.') });
    rendered(<SignInPage />);
    type('E-mail address', 'ann@example.org');
    type('Password', 'wrong horse');
    press('Sign in');
    expect((await screen.findByRole('alert')).textContent).toBe('Address or password is wrong.');
    expect(screen.getByLabelText<HTMLInputElement>('E-mail address').value).toBe('ann@example.org');
  });

  test('a server that is away is told as such', async () => {
    serve({});
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
    rendered(<SignInPage />);
    type('E-mail address', 'ann@example.org');
    type('Password', 'correct horse');
    press('Sign in');
    expect((await screen.findByRole('alert')).textContent).toContain('Nothing you typed is lost');
  });

  test('a practice is opened with the zone and the units of the browser', async () => {
    const called = serve({ 'POST /api/practices': { signedIn: true } });
    rendered(<SignInPage />);
    press('Create an account');
    type('Name of the practice', 'Hedge and Furrow');
    type('E-mail address', 'ann@example.org');
    type('Password', 'correct horse');
    press('Create account');
    await waitFor(() => expect(called.some((c) => c.what === 'POST /api/practices')).toBe(true));
    const sent = called.find((c) => c.what === 'POST /api/practices')!.body as Record<
      string,
      string
    >;
    expect(sent).toMatchObject({ practice: 'Hedge and Furrow', email: 'ann@example.org' });
    expect(sent['zone']).toBe(Intl.DateTimeFormat().resolvedOptions().timeZone);
    expect(['us', 'metric']).toContain(sent['units']);
  });

  test('what is missing is told at its field', async () => {
    serve({
      'POST /api/practices': refusal(400, 'Cannot be taken', [
        { pointer: '/password', message: '10 characters or more' },
      ]),
    });
    rendered(<SignInPage />);
    press('Create an account');
    press('Create account');
    expect(await screen.findByText('10 characters or more')).toBeTruthy();
    expect(screen.getByLabelText('Password').getAttribute('aria-invalid')).toBe('true');
  });

  test('the answer to a forgotten password tells nobody whether the address is known', async () => {
    const called = serve({});
    rendered(<SignInPage />);
    type('E-mail address', 'ann@example.org');
    press('Forgotten password');
    expect(screen.queryByLabelText('Password')).toBeNull();
    press('Send me a link');
    expect((await screen.findByRole('status')).textContent).toBe(
      'If ann@example.org has an account, an email with a link is on its way.',
    );
    expect(called.find((c) => c.what === 'POST /api/resets')?.body).toEqual({
      email: 'ann@example.org',
    });
  });
});
