import createClient from 'openapi-fetch';

import { seeBuild } from './build';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Plan = Schemas['PlanDocument'];
export type Figure = Schemas['FigureView'];
/** The answer with every part of it, as this page asks for it. */
export type Evaluation = Schemas['Evaluation'] &
  Required<Pick<Schemas['Evaluation'], 'field' | 'grow' | 'section'>>;
export type Quantity = Schemas['Quantity'];
export type UnitSymbol = Quantity['unit'];
export type Knowledge = Schemas['KnowledgeView'];
export type Field = Schemas['FieldEntry'];
export type Farm = Schemas['FarmEntry'];
export type Lot = Schemas['LotEntry'];
export type Problem = { pointer: string; message: string };

/** What the server said was wrong, with the places where it can be put right. */
export class Refusal extends Error {
  readonly status: number;
  readonly problems: Problem[];
  /** What the problem carries beside its words, such as both sides of a conflict. */
  readonly body: Record<string, unknown>;

  constructor(
    status: number,
    detail: string,
    problems: Problem[],
    body: Record<string, unknown> = {},
  ) {
    super(detail);
    this.status = status;
    this.problems = problems;
    this.body = body;
  }

  /** Whether the same may go through later without anything being changed. */
  get passing() {
    return this.status === 401 || this.status === 408 || this.status === 429 || this.status >= 500;
  }
}

const cookie = (name: string) =>
  document.cookie
    .split('; ')
    .find((c) => c.startsWith(`${name}=`))
    ?.slice(name.length + 1);

/** The token that proves a change comes from this page; asked for when the browser holds none. */
export async function token(): Promise<Record<string, string>> {
  if (!cookie('XSRF-TOKEN')) await globalThis.fetch('/api/session');
  return { 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') ?? '' };
}

export const api = createClient<paths>({
  baseUrl: globalThis.location.origin,
  fetch: (request: Request) => globalThis.fetch(request),
});
/** This page, for the server to tell its newest question from older ones that still wait. */
const PAGE = crypto.randomUUID();

api.use({
  async onRequest({ request, schemaPath }) {
    if (schemaPath === '/api/evaluations') request.headers.set('X-Page', PAGE);
    if (request.method !== 'GET') {
      Object.entries(await token()).forEach(([k, v]) => request.headers.set(k, v));
    }
    return request;
  },
  onResponse({ response }) {
    seeBuild(response.headers.get('X-Build'));
  },
});

type Answer<T> = { data?: T; error?: unknown; response: Response };

const isProblem = (
  e: unknown,
): e is { detail?: string; problems?: Problem[] } & Record<string, unknown> =>
  typeof e === 'object' && e !== null;

/** The data of an answer, or the refusal thrown. */
export function taken<T>(answer: Answer<T>): T {
  if (answer.response.ok) return answer.data as T;
  const e = isProblem(answer.error) ? answer.error : {};
  throw new Refusal(
    answer.response.status,
    e.detail ?? `The server answered ${answer.response.status}.`,
    (e.problems ?? []).map((p) => ({ ...p, pointer: p.pointer.replace(/^\/mine(?=\/|$)/, '') })),
    e,
  );
}

export const today = () => {
  const d = new Date();
  return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
};
