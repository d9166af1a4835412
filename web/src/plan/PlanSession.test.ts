import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';

import type { Plan } from '../api/client';
import { PlanSession } from './PlanSession';

const plan = (name: string): Plan => ({
  schemaVersion: 1,
  id: 'p',
  fieldId: 'f',
  name,
  crops: [],
  covers: [],
  operations: [],
  answers: [],
});
const rename = (name: string) => (p: Plan) => ({ ...p, name });

type Handler = (request: Request) => Promise<Response>;

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
  });

/** A server that keeps one plan, as the real one does, with faults to order. */
class Server {
  head = 1;
  kept = 'first';
  saves: string[] = [];
  requestIds: string[] = [];
  fault: Handler | undefined;

  readonly handle = async (input: RequestInfo | URL): Promise<Response> => {
    const request = input as Request;
    const url = new URL(request.url);
    if (url.pathname === '/api/evaluations') return json({ figures: {} });
    if (this.fault) return this.fault(request);
    if (request.method === 'PUT') {
      if (request.headers.get('If-Match') !== String(this.head)) {
        return json({ status: 409, detail: 'changed elsewhere', head: this.head }, 409);
      }
      this.kept = ((await request.json()) as Plan).name ?? '';
      this.saves.push(this.kept);
      this.requestIds.push(request.headers.get('X-Request-Id') ?? '');
      this.head++;
    } else if (request.method === 'POST') {
      this.kept = url.pathname.endsWith('undo') ? 'undone' : 'redone';
      this.head++;
    }
    return json({ plan: plan(this.kept), revision: this.head, canUndo: true, canRedo: false });
  };
}

let server: Server;

beforeEach(() => {
  vi.useFakeTimers();
  document.cookie = 'XSRF-TOKEN=t';
  server = new Server();
  vi.stubGlobal('fetch', server.handle);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const open = () =>
  new PlanSession({ plan: plan('first'), revision: 1, canUndo: false, canRedo: false });
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);

describe('saving by itself', () => {
  test('changes in quick succession are one revision', async () => {
    const s = open();
    s.change(rename('a'));
    await pass(200);
    s.change(rename('ab'));
    await pass(200);
    s.change(rename('abc'));
    expect(s.snapshot().save.kind).toBe('saving');
    await pass(2000);
    expect(server.saves).toEqual(['abc']);
    expect(s.snapshot().save.kind).toBe('saved');
    expect(s.snapshot().revision).toBe(2);
  });

  test('while the hand drags nothing is saved until it lets go', async () => {
    const s = open();
    s.change(rename('a'), true);
    s.change(rename('ab'), true);
    await pass(5000);
    expect(server.saves).toEqual([]);
    expect(s.hasUnsaved()).toBe(true);
    await s.flush();
    expect(server.saves).toEqual(['ab']);
  });

  test('a change made while a save is under way is saved after it', async () => {
    const s = open();
    s.change(rename('a'));
    const saving = s.flush();
    s.change(rename('b'));
    await saving;
    await pass(2000);
    expect(server.saves).toEqual(['a', 'b']);
    expect(s.hasUnsaved()).toBe(false);
  });

  test('a dead server loses nothing and gets it once it is back, under the same request id', async () => {
    const s = open();
    const tried: (string | null)[] = [];
    server.fault = (r) => {
      tried.push(r.headers.get('X-Request-Id'));
      return Promise.reject(new TypeError('no connection'));
    };
    s.change(rename('kept'));
    await pass(1000);
    expect(s.snapshot().save).toEqual({ kind: 'failed', reason: 'the server does not answer' });
    expect(s.snapshot().plan.name).toBe('kept');
    server.fault = undefined;
    await pass(4000);
    expect(server.saves).toEqual(['kept']);
    expect(server.requestIds[0]).toBe(tried[0]);
  });

  test('signed out in the meantime: kept here and sent after signing in again', async () => {
    const s = open();
    server.fault = () => Promise.resolve(new Response(null, { status: 401 }));
    s.change(rename('kept'));
    await pass(1000);
    expect(s.snapshot().save).toMatchObject({ kind: 'failed' });
    expect(JSON.stringify(s.snapshot().save)).toContain('signed out');
    server.fault = undefined;
    await pass(4000);
    expect(server.saves).toEqual(['kept']);
  });

  test('a refusal is told and not hammered', async () => {
    const s = open();
    let asked = 0;
    server.fault = () => {
      asked++;
      return Promise.resolve(
        json({ status: 400, detail: 'a strip is no wider than its row' }, 400),
      );
    };
    s.change(rename('bad'));
    await pass(20_000);
    expect(asked).toBe(1);
    expect(s.snapshot().save).toEqual({
      kind: 'failed',
      reason: 'a strip is no wider than its row',
    });
    expect(s.snapshot().plan.name).toBe('bad');
  });
});

describe('two tabs', () => {
  const conflicted = async () => {
    const s = open();
    server.head = 5;
    server.kept = 'theirs';
    s.change(rename('mine'));
    await pass(2000);
    expect(s.snapshot().save.kind).toBe('conflict');
    return s;
  };

  test('mine goes on top of theirs when I say so', async () => {
    const s = await conflicted();
    await s.keepMine();
    expect(server.saves).toEqual(['mine']);
    expect(s.snapshot().save.kind).toBe('saved');
  });

  test('theirs replaces mine when I say so', async () => {
    const s = await conflicted();
    await s.takeTheirs();
    expect(s.snapshot().plan.name).toBe('theirs');
    expect(server.saves).toEqual([]);
    expect(s.hasUnsaved()).toBe(false);
  });

  test('nothing is sent while the choice is open', async () => {
    const s = await conflicted();
    s.change(rename('mine again'));
    await pass(5000);
    expect(server.saves).toEqual([]);
    expect(s.snapshot().plan.name).toBe('mine again');
  });
});

describe('undo', () => {
  test('saves what is open first, then takes the server’s word', async () => {
    const s = open();
    s.change(rename('a'));
    await s.undo();
    expect(server.saves).toEqual(['a']);
    expect(s.snapshot().plan.name).toBe('undone');
  });
});

describe('evaluation', () => {
  test('one request is in flight and the newest plan wins', async () => {
    const seen: string[] = [];
    const gates: (() => void)[] = [];
    vi.stubGlobal('fetch', async (r: Request) => {
      const body = (await r.json()) as { plan: Plan };
      seen.push(body.plan.name ?? '');
      await new Promise<void>((done) => gates.push(done));
      return json({ figures: {}, planId: body.plan.name });
    });
    const s = open();
    await pass(0);
    s.change(rename('b'), true);
    s.change(rename('c'), true);
    s.change(rename('d'), true);
    await pass(0);
    expect(seen).toEqual(['first']);
    gates[0]?.();
    await pass(0);
    expect(seen).toEqual(['first', 'd']);
    gates[1]?.();
    await pass(0);
    expect(s.snapshot().evaluation?.planId).toBe('d');
  });

  test('a plan that cannot be worked out keeps the last figures and says where it is wrong', async () => {
    const s = open();
    await pass(0);
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        json(
          { detail: 'no', problems: [{ pointer: '/plan/crops/0/crop', message: 'no crop' }] },
          400,
        ),
      ),
    );
    s.change(rename('x'), true);
    await pass(0);
    expect(s.snapshot().problems).toEqual([{ pointer: '/crops/0/crop', message: 'no crop' }]);
    expect(s.snapshot().evaluation).toBeDefined();
  });
});
