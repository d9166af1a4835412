import type { Evaluation, Plan, Problem } from '../api/client';
import { api, Refusal, taken, today } from '../api/client';

type Saved = { plan: Plan; revision: number; canUndo: boolean; canRedo: boolean };

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'failed'; reason: string }
  | { kind: 'conflict' };

export interface PlanState extends Saved {
  evaluation?: Evaluation;
  /** What keeps the plan from being evaluated or saved, at its place. */
  problems: Problem[];
  save: SaveState;
}

const COALESCE_MS = 700;
const RETRY_MS = 3000;

/**
 * One plan open in one page: every change is shown at once, evaluated by the server (one request in flight, the newest
 * wins) and saved by itself as a revision. What cannot be saved stays here and is tried again.
 */
export class PlanSession {
  private state: PlanState;
  private readonly listeners = new Set<() => void>();
  private dirty = false;
  private saving?: Promise<void>;
  private timer?: ReturnType<typeof setTimeout>;
  private evaluating = false;
  private evaluateAgain = false;
  /** Kept over retries, so that a save the server did take is not taken twice. */
  private pending?: { text: string; requestId: string };

  constructor(saved: Saved) {
    this.state = { ...saved, problems: [], save: { kind: 'saved' } };
    void this.evaluate();
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = () => this.state;

  /**
   * Changes the plan; several changes in quick succession are one revision.
   *
   * @param held while the hand still drags: evaluated at once, saved only by the next {@link flush}
   */
  readonly change = (edit: (plan: Plan) => Plan, held = false) => {
    this.dirty = true;
    this.set({ plan: edit(this.state.plan), save: { kind: 'saving' } });
    void this.evaluate();
    clearTimeout(this.timer);
    if (!held) this.timer = setTimeout(() => void this.flush(), COALESCE_MS);
  };

  readonly undo = () => this.step('/api/plans/{planId}/undo');
  readonly redo = () => this.step('/api/plans/{planId}/redo');

  /** Saves what is not saved yet. */
  readonly flush = async (): Promise<void> => {
    clearTimeout(this.timer);
    while (this.dirty && this.state.save.kind !== 'conflict') {
      if (this.saving) await this.saving;
      else if (!(await this.saveOnce())) return;
    }
  };

  /** After a conflict: puts this page's plan on top of the other's. */
  readonly keepMine = async () => {
    const theirs = await this.load();
    this.set({ revision: theirs.revision, save: { kind: 'saving' } });
    this.dirty = true;
    await this.flush();
  };

  /** After a conflict: gives this page's changes up for the other's. */
  readonly takeTheirs = async () => {
    const theirs = await this.load();
    this.dirty = false;
    this.set({ ...theirs, save: { kind: 'saved' } });
    await this.evaluate();
  };

  readonly evaluate = async (): Promise<void> => {
    if (this.evaluating) {
      this.evaluateAgain = true;
      return;
    }
    this.evaluating = true;
    const plan = this.state.plan;
    try {
      const body = { plan, asOf: today() };
      const evaluation = taken(await api.POST('/api/evaluations', { body }));
      this.set({ evaluation, problems: [] });
    } catch (e) {
      if (e instanceof Refusal) {
        this.set({
          problems: e.problems.map((p) => ({ ...p, pointer: p.pointer.replace(/^\/plan/, '') })),
        });
      }
    }
    this.evaluating = false;
    if (this.evaluateAgain) {
      this.evaluateAgain = false;
      await this.evaluate();
    }
  };

  hasUnsaved() {
    return this.dirty || this.saving !== undefined;
  }

  close() {
    void this.flush();
  }

  private async saveOnce(): Promise<boolean> {
    const plan = this.state.plan;
    const text = JSON.stringify(plan);
    if (this.pending?.text !== text) this.pending = { text, requestId: crypto.randomUUID() };
    const requestId = this.pending.requestId;
    this.dirty = false;
    let taking = true;
    this.saving = (async () => {
      try {
        const saved = taken(
          await api.PUT('/api/plans/{planId}', {
            params: {
              path: { planId: plan.id },
              header: { 'If-Match': String(this.state.revision), 'X-Request-Id': requestId },
            },
            body: plan,
          }),
        );
        this.pending = undefined;
        const { revision, canUndo, canRedo } = saved;
        this.set({
          revision,
          canUndo,
          canRedo,
          save: this.dirty ? { kind: 'saving' } : { kind: 'saved' },
        });
      } catch (e) {
        taking = false;
        this.dirty = true;
        this.failed(e);
      }
    })();
    await this.saving;
    this.saving = undefined;
    return taking;
  }

  private failed(e: unknown) {
    if (e instanceof Refusal && e.status === 409) {
      this.set({ save: { kind: 'conflict' } });
      return;
    }
    const signedOut = e instanceof Refusal && e.status === 401;
    const reason = signedOut
      ? 'you are signed out; sign in in another tab and it is sent from here'
      : e instanceof Refusal
        ? e.message
        : 'the server does not answer';
    this.set({ save: { kind: 'failed', reason } });
    if (!(e instanceof Refusal) || signedOut || e.status >= 500) {
      clearTimeout(this.timer);
      this.timer = setTimeout(() => void this.flush(), RETRY_MS);
    }
  }

  private async step(path: '/api/plans/{planId}/undo' | '/api/plans/{planId}/redo') {
    await this.flush();
    try {
      const saved = taken(
        await api.POST(path, {
          params: {
            path: { planId: this.state.plan.id },
            header: {
              'If-Match': String(this.state.revision),
              'X-Request-Id': crypto.randomUUID(),
            },
          },
        }),
      );
      this.set({ ...saved, save: { kind: 'saved' } });
      await this.evaluate();
    } catch (e) {
      this.failed(e);
    }
  }

  private async load(): Promise<Saved> {
    const path = { fieldId: this.state.plan.fieldId };
    return taken(await api.GET('/api/fields/{fieldId}/plan', { params: { path } }));
  }

  private set(change: Partial<PlanState>) {
    this.state = { ...this.state, ...change };
    this.listeners.forEach((l) => l());
  }
}
