import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import { FieldsPage } from './FieldsPage';
import { choose } from '../ui/choosing';

const row = (i: number) => ({
  fieldId: `f${i}`,
  name: `Field ${i}`,
  farmId: 'a',
  farmName: 'Thornlea',
  units: 'us',
  area: '12 ac',
  stops: 0,
  thinks: 0,
  state: 's',
  current: true,
});

/** A practice of 120 fields, as the server pages it; what it was asked is remembered. */
function server(asked: string[]) {
  return vi.fn((input: Request) => Promise.resolve(answer(input)));

  function answer(input: Request) {
    const url = new URL(input.url);
    asked.push(url.pathname + url.search);
    const json = (body: unknown) =>
      new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
    if (url.pathname === '/api/farms') return json([{ id: 'a', name: 'Thornlea', units: 'us' }]);
    if (url.pathname === '/api/field-sections') return json({});
    if (url.pathname !== '/api/fields') return json({ signedIn: true });
    const from = Number(url.searchParams.get('after') || 0);
    const find = url.searchParams.get('find') ?? '';
    const all = Array.from({ length: 120 }, (_, i) => row(i)).filter((f) => f.name.includes(find));
    const fields = all.slice(from, from + 50);
    const next = from + 50 < all.length ? String(from + 50) : undefined;
    return json({ asOf: '2026-06-01', fields, next, matching: all.length, total: 120, pending: 0 });
  }
}

describe('the list of fields', () => {
  const asked: string[] = [];
  beforeEach(() => {
    asked.length = 0;
    window.scrollY = 0;
    vi.stubGlobal('fetch', server(asked));
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null);
    Object.defineProperty(document, 'fonts', {
      value: { ready: Promise.resolve() },
      configurable: true,
    });
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

  const open = () =>
    render(
      <QueryClientProvider client={new QueryClient()}>
        <MemoryRouter>
          <FieldsPage />
        </MemoryRouter>
      </QueryClientProvider>,
    );

  it('reads a page, and the next only when its rows come near', async () => {
    open();
    await screen.findByText('Field 0');
    expect(screen.getByText(/120 fields · 1 farm/)).toBeTruthy();
    expect(asked.filter((a) => a.startsWith('/api/fields?'))).toHaveLength(1);
    expect(asked.some((a) => a.includes('asOf'))).toBe(false);
    // rows out of sight are not drawn, and their pictures not asked for
    expect(screen.queryByText('Field 49')).toBeNull();
    const pictures = asked.filter((a) => a.startsWith('/api/field-sections'));
    expect(pictures.join()).not.toContain('f49');
    window.scrollY = 50 * 57;
    fireEvent.scroll(window);
    await waitFor(() =>
      expect(asked.some((a) => a.startsWith('/api/fields?') && a.includes('after=50'))).toBe(true),
    );
  });

  it('has the server search, filter and sort', async () => {
    open();
    await screen.findByText('Field 0');
    fireEvent.change(screen.getByLabelText('Find a field or farm'), { target: { value: '117' } });
    await screen.findByText('Field 117');
    expect(asked.some((a) => a.includes('find=117'))).toBe(true);
    choose('Show', 'with a stop note');
    choose('Sort by', 'farm');
    await waitFor(() =>
      expect(asked.some((a) => a.includes('show=stop') && a.includes('order=farm'))).toBe(true),
    );
  });
});
