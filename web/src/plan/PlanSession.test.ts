import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';

import type { Plan } from '../api/client';
import { PlanSession } from './PlanSession';

const plan = (name: string): Plan => ({
  schemaVersion: 2,
  id: 'p',
  fieldId: 'f',
  name,
  crops: [],
  covers: [],
  operations: [],
  answers: [],
});
const rename = (name: string) => (p: Plan) => ({ ...p, name });

const saved = (name: string, revision: number) => ({
  plan: plan(name),
  revision,
  canUndo: revision > 1,
  canRedo: false,
  current: true,
  label: '',
});

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
  merges: string[] = [];
  copies: Plan[] = [];
  fault: Handler | undefined;

  readonly handle = async (input: RequestInfo | URL): Promise<Response> => {
    const request = input as Request;
    const url = new URL(request.url);
    if (url.pathname === '/api/evaluations') return json({ figures: {} });
    if (this.fault) return this.fault(request);
    if (request.method === 'PUT') {
      if (request.headers.get('If-Match') !== String(this.head)) {
        const comparison = { head: this.head, author: 'Ilse', theirs: ['t'], mine: ['m'] };
        return json({ status: 409, detail: 'changed elsewhere', comparison }, 409);
      }
      this.kept = ((await request.json()) as Plan).name ?? '';
      this.saves.push(this.kept);
      this.requestIds.push(request.headers.get('X-Request-Id') ?? '');
      this.head++;
    } else if (url.pathname.endsWith('/merge')) {
      this.merges.push(`${url.searchParams.get('base')} on ${request.headers.get('If-Match')}`);
      this.kept = 'both';
      this.head++;
    } else if (url.pathname.endsWith('/plans')) {
      const body = (await request.json()) as { label: string; plan: Plan };
      this.copies.push(body.plan);
      return json({ plan: body.plan, revision: 1, canUndo: false, canRedo: false }, 201);
    } else if (request.method === 'POST') {
      this.kept = url.pathname.endsWith('undo') ? 'undone' : 'redone';
      this.head++;
    }
    return json(saved(this.kept, this.head));
  };
}

let server: Server;

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  document.cookie = 'XSRF-TOKEN=t';
  server = new Server();
  vi.stubGlobal('fetch', server.handle);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const WHO = 'a@example.org';
const open = (name = 'first', revision = 1) => new PlanSession(saved(name, revision), WHO);
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

  test('a hand whose letting go is never seen loses nothing', async () => {
    const s = open();
    s.change(rename('a'), true);
    await pass(9000);
    s.change(rename('ab'), true);
    await pass(9000);
    expect(server.saves).toEqual([]);
    await pass(2000);
    expect(server.saves).toEqual(['ab']);
    expect(s.snapshot().save.kind).toBe('saved');
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
    expect(s.snapshot().save).toEqual({
      kind: 'failed',
      reason: 'the server does not answer',
      signedOut: false,
    });
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

  test('a refusal is shown and not hammered', async () => {
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
      signedOut: false,
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

  test('both are kept where they do not meet, from what mine grew from on top of what I have seen', async () => {
    const s = await conflicted();
    await s.keepBoth();
    expect(server.merges).toEqual(['1 on 5']);
    expect(s.snapshot().plan.name).toBe('both');
    expect(s.hasUnsaved()).toBe(false);
  });

  test('mine becomes a copy of its own and the page shows theirs', async () => {
    const s = await conflicted();
    const id = await s.keepCopy('mine');
    expect(server.copies.map((c) => [c.id, c.name])).toEqual([[id, 'mine']]);
    expect(s.snapshot().plan.name).toBe('theirs');
    expect(s.hasUnsaved()).toBe(false);
  });

  test('a third save between being shown and choosing is asked about again', async () => {
    const s = await conflicted();
    server.head = 6;
    await s.keepMine();
    expect(server.saves).toEqual([]);
    expect(s.snapshot().save).toMatchObject({ kind: 'conflict', comparison: { head: 6 } });
    await s.keepMine();
    expect(server.saves).toEqual(['mine']);
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

describe('undo over another’s change', () => {
  test('is shown, left or done anyway', async () => {
    const s = open('first', 2);
    const asked: string[] = [];
    server.fault = (r) => {
      asked.push(new URL(r.url).search);
      return Promise.resolve(
        asked.length < 2
          ? json({ status: 409, detail: 'met', overlaps: ['60 → 40'], overridable: true }, 409)
          : json(saved('undone', 3)),
      );
    };
    await s.undo();
    expect(s.snapshot().save).toEqual({
      kind: 'overlap',
      step: 'undo',
      overlaps: ['60 → 40'],
      overridable: true,
    });
    expect(s.snapshot().plan.name).toBe('first');
    await s.undo(true);
    expect(asked).toEqual(['?over=false', '?over=true']);
    expect(s.snapshot().plan.name).toBe('undone');
  });

  test('of a page that is behind shows what others saved instead', async () => {
    const s = open();
    server.head = 5;
    server.kept = 'theirs';
    const handle = server.handle;
    server.fault = undefined;
    vi.stubGlobal('fetch', async (r: Request) =>
      r.url.includes('/undo')
        ? json({ status: 409, detail: 'behind', comparison: { head: 5 } }, 409)
        : handle(r),
    );
    await s.undo();
    expect(s.snapshot().plan.name).toBe('theirs');
    expect(s.snapshot().save.kind).toBe('saved');
  });
});

describe('a page closed with something unsaved', () => {
  const away = () => {
    server.fault = () => Promise.reject(new TypeError('no connection'));
  };

  test('finds it again when opened, and sends it once', async () => {
    away();
    const first = open();
    first.change(rename('typed offline'));
    await pass(1000);
    first.close();
    await pass(0);
    server.fault = undefined;
    const second = open();
    expect(second.snapshot().plan.name).toBe('typed offline');
    await pass(100);
    expect(server.saves).toEqual(['typed offline']);
    expect(second.snapshot().save.kind).toBe('saved');
    const third = open('typed offline', 2);
    await pass(5000);
    expect(third.hasUnsaved()).toBe(false);
    expect(server.saves).toHaveLength(1);
  });

  test('written by an older version, is brought up to date and then sent', async () => {
    away();
    const first = open();
    first.change((p) => ({ ...rename('typed before')(p), schemaVersion: 1 }));
    await pass(1000);
    first.close();
    server.fault = (request) =>
      new URL(request.url).pathname === '/api/formats/plan'
        ? request.json().then((old: Plan) => json({ ...old, schemaVersion: 2 }))
        : Promise.reject(new TypeError('no connection'));
    const second = open();
    expect(second.snapshot().plan.schemaVersion).toBe(2);
    expect(second.snapshot().plan.name).toBe('first');
    await pass(100);
    expect(second.snapshot().plan).toMatchObject({ name: 'typed before', schemaVersion: 2 });
    server.fault = undefined;
    await pass(30_000);
    expect(server.saves).toEqual(['typed before']);
  });

  test('meets what others saved in the meantime with a choice', async () => {
    away();
    const first = open();
    first.change(rename('mine'));
    await pass(1000);
    first.close();
    server.fault = undefined;
    server.head = 3;
    server.kept = 'theirs';
    const second = open('theirs', 3);
    await pass(100);
    expect(second.snapshot().save.kind).toBe('conflict');
    expect(second.snapshot().plan.name).toBe('mine');
  });

  test('is not sent by somebody else who signs in here', async () => {
    away();
    const first = open();
    first.change(rename('mine'));
    await pass(1000);
    vi.clearAllTimers(); // the page is gone
    server.fault = undefined;
    const other = new PlanSession(saved('first', 1), 'b@example.org');
    await pass(1000);
    expect(other.snapshot().plan.name).toBe('first');
    expect(server.saves).toEqual([]);
    first.close();
  });

  test('whose save the server had taken shows what is there now', async () => {
    const s = open();
    server.fault = (r) =>
      r.method === 'PUT' ? Promise.reject(new TypeError('cut off')) : server.handle(r);
    s.change(rename('mine'));
    await pass(1000);
    s.close();
    // it had arrived as revision 2, and somebody saved revision 3
    server.fault = (r) =>
      Promise.resolve(r.method === 'PUT' ? json(saved('mine', 2)) : json(saved('theirs', 3)));
    const again = open('theirs', 3);
    await pass(100);
    expect(again.snapshot().plan.name).toBe('theirs');
    expect(again.snapshot().revision).toBe(3);
    expect(again.hasUnsaved()).toBe(false);
  });

  test('is sent at once when the browser is online again', async () => {
    away();
    const s = open();
    s.change(rename('kept'));
    await pass(120_000);
    server.fault = undefined;
    window.dispatchEvent(new Event('online'));
    await pass(0);
    expect(server.saves).toEqual(['kept']);
    s.close();
  });
});

describe('evaluation', () => {
  test('of a server that is away is shown as old and asked for again', async () => {
    const s = open();
    await pass(0);
    vi.stubGlobal('fetch', () => Promise.resolve(json({ detail: 'asked too often' }, 429)));
    s.change(rename('x'), true);
    await pass(0);
    expect(s.snapshot().stale).toBe(true);
    expect(s.snapshot().problems).toEqual([]);
    vi.stubGlobal('fetch', server.handle);
    await pass(4000);
    expect(s.snapshot().stale).toBe(false);
    s.close();
  });

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
