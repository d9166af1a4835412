import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';

export interface Called {
  /** Such as "PUT /api/people/2/role?x=1". */
  what: string;
  body: unknown;
}

type Answers = Record<string, unknown>;

/** An answer that is not a success: its status and what is wrong. */
export const refusal = (status: number, detail: string, problems: object[] = []) =>
  new Response(JSON.stringify({ status, detail, problems }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  });

/**
 * For tests: answers by method and path ("GET /api/people"), anything else with an empty object; what was asked is remembered. A
 * function is called each time with what was sent, so that an answer can change.
 */
export function serve(answers: Answers) {
  const called: Called[] = [];
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request = new Request(
      new URL(typeof input === 'string' ? input : input.url, location.origin),
      {
        method: typeof input === 'string' ? init?.method : input.method,
      },
    );
    const url = new URL(request.url);
    const text =
      typeof input === 'string'
        ? typeof init?.body === 'string'
          ? init.body
          : ''
        : await input.clone().text();
    const at = `${request.method} ${url.pathname}`;
    called.push({ what: at + url.search, body: text ? (JSON.parse(text) as unknown) : undefined });
    const answer = answers[at];
    const found: unknown =
      typeof answer === 'function' ? (answer as (c: Called) => unknown)(called.at(-1)!) : answer;
    if (found instanceof Response) return found.clone();
    return found === undefined && request.method !== 'GET'
      ? new Response(null, { status: 204 })
      : new Response(JSON.stringify(found ?? {}), {
          headers: { 'Content-Type': 'application/json' },
        });
  });
  return called;
}

/** For tests: renders with what every page stands in. */
export const rendered = (page: ReactNode) =>
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter>{page}</MemoryRouter>
    </QueryClientProvider>,
  );
