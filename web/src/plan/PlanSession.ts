import type { Evaluation, Plan, Problem, Schemas } from '../api/client';
import { api, Refusal, taken, today } from '../api/client';
import { drafts } from './drafts';
import { Retry } from './retry';

export type Saved = Schemas['Saved'];
export type Comparison = Schemas['Comparison'];
type StepName = 'undo' | 'redo';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'failed'; reason: string; signedOut: boolean }
  | { kind: 'conflict'; comparison: Comparison }
  | { kind: 'overlap'; step: StepName; overlaps: string[]; overridable: boolean };

export interface PlanState extends Saved {
  evaluation?: Evaluation;
  /** What keeps the plan from being evaluated or saved, at its place. */
  problems: Problem[];
  /** The figures are of an earlier plan: the server does not answer. */
  stale: boolean;
  /** Figures of the plan as it is now are on their way. */
  busy: boolean;
  save: SaveState;
}

/** What is kept in the browser until the server has it. */
interface Draft {
  plan: Plan;
  revision: number;
  requestId?: string;
}

const COALESCE_MS = 700;
/** A hand that does not move for so long has let go, whether or not that was seen. */
const RESTS_MS = 10_000;

/**
 * One plan open in one page: every change is shown at once, evaluated by the server (one request in flight, the newest
 * wins) and saved by itself as a revision. What cannot be saved stays here and in the browser, and is tried again.
 */
export class PlanSession {
  private state: PlanState;
  private readonly who: string;
  private readonly listeners = new Set<() => void>();
  private dirty = false;
  private saving?: Promise<void>;
  private timer?: ReturnType<typeof setTimeout>;
  private evaluating = false;
  private evaluateAgain = false;
  private readonly retrySave = new Retry(() => void this.flush());
  private readonly retryEvaluation = new Retry(() => void this.evaluate());
  /** Kept over retries, so that a save the server did take is not taken twice. */
  private pending?: { text: string; requestId: string };

  /**
   * @param who the address of the person at the page
   */
  constructor(saved: Saved, who: string) {
    this.who = who;
    this.state = { ...saved, problems: [], stale: false, busy: true, save: { kind: 'saved' } };
    this.resume(saved);
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
   * @param held while the hand still drags: evaluated at once, saved by the next {@link flush} or when the hand rests
   */
  readonly change = (edit: (plan: Plan) => Plan, held = false) => {
    this.dirty = true;
    const choosing = this.state.save.kind === 'conflict';
    this.set({
      plan: edit(this.state.plan),
      save: choosing ? this.state.save : { kind: 'saving' },
    });
    void this.evaluate();
    clearTimeout(this.timer);
    if (!held) this.keep();
    this.timer = setTimeout(
      () => {
        this.keep();
        void this.flush();
      },
      held ? RESTS_MS : COALESCE_MS,
    );
  };

  readonly undo = (over = false) => this.step('undo', over);
  readonly redo = (over = false) => this.step('redo', over);

  /** Brings the plan back to what it was at a revision. */
  readonly restore = async (number: number) => {
    await this.flush();
    await this.replace(async () =>
      taken(
        await api.POST('/api/plans/{planId}/revisions/{number}/restore', {
          params: { path: { planId: this.state.plan.id, number }, header: this.headers() },
        }),
      ),
    );
  };

  /** Saves what is not saved yet. */
  readonly flush = async (): Promise<void> => {
    clearTimeout(this.timer);
    while (this.dirty && this.state.save.kind !== 'conflict') {
      if (this.saving) await this.saving;
      else if (!(await this.saveOnce())) return;
    }
  };

  /** After a conflict: puts this page's plan on top of what it has seen; what came even later is asked about again. */
  readonly keepMine = async () => {
    const comparison = this.choice();
    if (!comparison) return;
    this.set({ revision: comparison.head, save: { kind: 'saving' } });
    this.dirty = true;
    this.pending = undefined;
    await this.flush();
  };

  /** After a conflict: gives this page's changes up for the other's. */
  readonly takeTheirs = async () => {
    await this.replace(() => this.load());
  };

  /** After a conflict in different places: this page's changes go upon the other's. */
  readonly keepBoth = async () => {
    const comparison = this.choice();
    if (!comparison) return;
    const { plan, revision } = this.state;
    await this.replace(async () =>
      taken(
        await api.POST('/api/plans/{planId}/merge', {
          params: {
            path: { planId: plan.id },
            query: { base: revision },
            header: this.headers(comparison.head),
          },
          body: plan,
        }),
      ),
    );
  };

  /** Makes a copy of the plan as it is on this page beside the field's own, and gives its id. */
  readonly copied = async (label: string): Promise<string> => {
    const { plan } = this.state;
    const id = `plan-${crypto.randomUUID()}`;
    taken(
      await api.POST('/api/fields/{fieldId}/plans', {
        params: {
          path: { fieldId: plan.fieldId },
          header: { 'X-Request-Id': crypto.randomUUID() },
        },
        body: { label, plan: { ...plan, id } },
      }),
    );
    return id;
  };

  /** After a conflict: keeps this page's plan as a copy, takes what was saved meanwhile, and gives the copy's id. */
  readonly keepCopy = async (label: string): Promise<string | undefined> => {
    let id: string;
    try {
      id = await this.copied(label);
    } catch (e) {
      this.failed(e);
      return undefined;
    }
    await this.takeTheirs();
    return id;
  };

  /** After a refused undo or redo: leaves the plan as it is. */
  readonly leave = () => this.set({ save: { kind: 'saved' } });

  readonly evaluate = async (): Promise<void> => {
    if (this.evaluating) {
      this.evaluateAgain = true;
      return;
    }
    this.evaluating = true;
    this.set({ busy: true });
    const plan = this.state.plan;
    try {
      const body = { plan, asOf: today() };
      // every part is asked for
      const evaluation = taken(await api.POST('/api/evaluations', { body })) as Evaluation;
      this.retryEvaluation.done();
      this.set({ evaluation, problems: [], stale: false, busy: this.evaluateAgain });
    } catch (e) {
      if (e instanceof Refusal && !e.passing) {
        this.set({
          busy: this.evaluateAgain,
          problems: e.problems.map((p) => ({ ...p, pointer: p.pointer.replace(/^\/plan/, '') })),
        });
      } else {
        this.set({ stale: true, busy: this.evaluateAgain });
        this.retryEvaluation.later();
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
    this.retrySave.close();
    this.retryEvaluation.close();
    void this.flush();
  }

  /** Takes up what an earlier page could not save; what an older version of the page wrote is brought up to date first. */
  private resume(saved: Saved) {
    const draft = drafts.find<Draft>(this.who, saved.plan.id);
    if (!draft) return;
    if (draft.plan.schemaVersion === saved.plan.schemaVersion) this.takeUp(draft, saved);
    else void this.bringUpToDate(draft, saved);
  }

  private async bringUpToDate(draft: Draft, saved: Saved) {
    try {
      const plan = taken(await api.POST('/api/formats/plan', { body: draft.plan }));
      this.takeUp({ ...draft, plan }, saved);
    } catch (e) {
      // the draft stays where it is, for the next page
      this.failed(e);
    }
  }

  private takeUp(draft: Draft, saved: Saved) {
    const text = JSON.stringify(draft.plan);
    if (text === JSON.stringify(saved.plan)) {
      drafts.drop(this.who, saved.plan.id);
      return;
    }
    this.dirty = true;
    if (draft.requestId) this.pending = { text, requestId: draft.requestId };
    this.set({ plan: draft.plan, revision: draft.revision, save: { kind: 'saving' } });
    void this.flush().then(async () => {
      // the server had it already, and others have saved since
      if (!this.hasUnsaved() && this.state.revision < saved.revision) await this.takeTheirs();
    });
  }

  private keep() {
    const { plan, revision } = this.state;
    const requestId =
      this.pending?.text === JSON.stringify(plan) ? this.pending.requestId : undefined;
    drafts.keep(this.who, plan.id, { plan, revision, requestId } satisfies Draft);
  }

  private async saveOnce(): Promise<boolean> {
    const plan = this.state.plan;
    const text = JSON.stringify(plan);
    if (this.pending?.text !== text) this.pending = { text, requestId: crypto.randomUUID() };
    const requestId = this.pending.requestId;
    this.keep();
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
        this.retrySave.done();
        const { revision, canUndo, canRedo } = saved;
        this.set({
          revision,
          canUndo,
          canRedo,
          save: this.dirty ? { kind: 'saving' } : { kind: 'saved' },
        });
        if (this.dirty) this.keep();
        else drafts.drop(this.who, plan.id);
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
    if (e instanceof Refusal && e.status === 409 && e.body.comparison) {
      this.set({ save: { kind: 'conflict', comparison: e.body.comparison as Comparison } });
      return;
    }
    const signedOut = e instanceof Refusal && e.status === 401;
    const reason = signedOut
      ? 'you are signed out'
      : e instanceof Refusal
        ? e.message
        : 'the server does not answer';
    this.set({ save: { kind: 'failed', reason, signedOut } });
    if (!(e instanceof Refusal) || e.passing) this.retrySave.later();
  }

  private async step(step: StepName, over: boolean) {
    await this.flush();
    if (this.hasUnsaved()) return;
    const options = {
      params: {
        path: { planId: this.state.plan.id },
        query: { over },
        header: this.headers(),
      },
    };
    try {
      const saved = taken(
        step === 'undo'
          ? await api.POST('/api/plans/{planId}/undo', options)
          : await api.POST('/api/plans/{planId}/redo', options),
      );
      this.set({ ...saved, save: { kind: 'saved' } });
      await this.evaluate();
    } catch (e) {
      if (e instanceof Refusal && e.body.overlaps) {
        const { overlaps, overridable } = e.body as Schemas['OverlapView'];
        this.set({ save: { kind: 'overlap', step, overlaps, overridable } });
      } else if (e instanceof Refusal && e.body.comparison) {
        // nothing of this page is unsaved: what others saved is simply shown
        await this.takeTheirs();
      } else {
        this.failed(e);
      }
    }
  }

  /** Shows another plan than this page's; what was unsaved here is settled by it. */
  private async replace(get: () => Promise<Saved>) {
    try {
      const saved = await get();
      this.dirty = false;
      this.pending = undefined;
      drafts.drop(this.who, saved.plan.id);
      this.set({ ...saved, save: { kind: 'saved' } });
      await this.evaluate();
    } catch (e) {
      this.failed(e);
    }
  }

  private choice(): Comparison | undefined {
    return this.state.save.kind === 'conflict' ? this.state.save.comparison : undefined;
  }

  private headers(head = this.state.revision) {
    return { 'If-Match': String(head), 'X-Request-Id': crypto.randomUUID() };
  }

  private async load(): Promise<Saved> {
    const path = { planId: this.state.plan.id };
    return taken(await api.GET('/api/plans/{planId}', { params: { path } }));
  }

  private set(change: Partial<PlanState>) {
    this.state = { ...this.state, ...change };
    this.listeners.forEach((l) => l());
  }
}
