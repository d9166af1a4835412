import { DecimalSignContext, decimalSignOf } from '../ui/numbers';
import { useQueryClient } from '@tanstack/react-query';
import {
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type ComponentType,
} from 'react';
import { useParams, useSearchParams } from 'react-router';

import type { Evaluation, Farm, Field, Knowledge, Lot, Plan } from '../api/client';
import { TopBar } from '../app/TopBar';
import { isTyping } from '../app/useKey';
import { Ledger } from '../ledger/Ledger';
import { Notes, noteKey } from '../ledger/Notes';
import { WorkingPanel } from '../ledger/WorkingPanel';
import { Choice } from '../plan/Choice';
import { PlanContext } from '../plan/context';
import { moveOperation, moveSubject, operationOf } from '../plan/edit';
import { PlanFiles } from '../plan/PlanFiles';
import { PlanSession } from '../plan/PlanSession';
import { SaveLine } from '../plan/SaveLine';
import { GroundSection } from '../section/GroundSection';
import type { SectionHand } from '../section/hand';
import { addDays } from '../ui/days';
import { useSheetHeight } from '../section/useSheetHeight';
import { useWidth } from '../section/useWidth';
import { AimsStep } from './AimsStep';
import { EndStep } from './EndStep';
import { FeedStep } from './FeedStep';
import { FieldStep } from './FieldStep';
import { GrowStep } from './GrowStep';
import { MixStep } from './MixStep';
import { coverAhead, firstInHand } from './pick';
import { PlantStep } from './PlantStep';
import { RotationStep } from './RotationStep';
import { SowStep } from './SowStep';
import { StepLine } from './StepLine';
import { STEPS, type Step, type StepId, type StepProps } from '../plan/steps';
import { TitleRow } from './TitleRow';
import { UnitsSwitch } from './UnitsSwitch';
import { useFieldSave } from '../plan/useFieldSave';

interface Loaded {
  saved: ConstructorParameters<typeof PlanSession>[0];
  field: Field;
  farms: Farm[];
  knowledge: Knowledge;
  lots: Lot[];
}

/** Below this width the section shows one window at a time. */
const NARROW = 760;
const BODY: Record<StepId, ComponentType<StepProps>> = {
  field: FieldStep,
  rotation: RotationStep,
  aims: AimsStep,
  mix: MixStep,
  sow: SowStep,
  grow: GrowStep,
  end: EndStep,
  plant: PlantStep,
  feed: FeedStep,
};

/** Which steps the plan has an answer for, seen from the crop in hand. */
function decided(plan: Plan, e: Evaluation | undefined, inHand: string | undefined) {
  const v = coverAhead(plan, e, inHand);
  const c = plan.crops.find((x) => x.id === inHand);
  return {
    field: true,
    rotation: plan.crops.length > 1,
    aims: (v?.aims?.length ?? 0) > 0,
    mix: (v?.mix?.components.length ?? 0) > 0,
    sow: v !== undefined && operationOf(plan, 'sow', v.id) !== undefined,
    grow: (v?.checks?.length ?? 0) > 0,
    end: v !== undefined && operationOf(plan, 'end', v.id) !== undefined,
    plant: c !== undefined && operationOf(plan, 'sow', c.id)?.tool !== undefined,
    feed: c?.nitrogen?.product !== undefined,
  } satisfies Record<StepId, boolean>;
}

/** The days the bench is about: the window, or the crop's planting and life. */
function focusOf(step: Step, e: Evaluation | undefined, inHand: string | undefined) {
  const crop = e?.crops.find((c) => c.id === inHand);
  const cover = e?.covers.find((c) => c.nextCropId === inHand);
  const window =
    e?.windows.find((w) => w.id === cover?.windowId) ??
    e?.windows.find((w) => w.kind === 'between' && w.beforeCropId === inHand);
  if (step.about === 'cover' && window) return [window.from, window.to] as [string, string];
  if (step.id === 'plant' && crop?.planted) {
    return [addDays(crop.planted, -21), addDays(crop.planted, 21)] as [string, string];
  }
  if (step.id === 'feed' && crop?.planted && crop.harvested) {
    return [crop.planted, crop.harvested] as [string, string];
  }
  return undefined;
}

/** The operation whose date the step decides. */
function inStepOf(step: Step, plan: Plan, e: Evaluation | undefined, inHand: string | undefined) {
  const cover = coverAhead(plan, e, inHand);
  if (step.id === 'sow' || step.id === 'end') {
    return cover && operationOf(plan, step.id, cover.id)?.id;
  }
  return step.id === 'plant' && inHand ? operationOf(plan, 'sow', inHand)?.id : undefined;
}

/** Leaving with something unsaved asks; Ctrl Z takes back. */
function usePage(session: PlanSession, fieldUnsaved: boolean) {
  const queries = useQueryClient();
  useEffect(() => {
    const warn = (e: BeforeUnloadEvent) => {
      if (session.hasUnsaved() || fieldUnsaved) {
        void session.flush();
        e.preventDefault();
      }
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [session, fieldUnsaved]);
  useEffect(() => {
    const keys = (e: KeyboardEvent) => {
      if (isTyping(e.target) || !(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
      e.preventDefault();
      void (e.shiftKey ? session.redo() : session.undo());
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
      session.close();
      void queries.invalidateQueries({ queryKey: ['fields'] });
    };
  }, [session, queries]);
}

export function FieldBench({ loaded, who }: { loaded: Loaded; who: string }) {
  const { step: asked } = useParams();
  const [search, setSearch] = useSearchParams();
  const step: Step = STEPS.find((s) => s.id === asked) ?? STEPS[1];
  const [session] = useState(() => new PlanSession(loaded.saved, who));
  const state = useSyncExternalStore(session.subscribe, session.snapshot);
  const [field, setField] = useState(loaded.field);
  const [farm, setFarm] = useState(
    () => loaded.farms.find((f) => f.id === field.farmId) ?? loaded.farms[0]!,
  );
  const fieldSave = useFieldSave(loaded.field, who, setField, () => void session.evaluate());
  const [working, setWorking] = useState<string>();
  const [note, setNote] = useState<string>();
  const beforeDrag = useRef<Plan>(undefined);
  const [ref, width] = useWidth(1248);
  const height = useSheetHeight(step.fold);
  usePage(session, fieldSave.save.busy || fieldSave.save.failing !== '');

  const us = farm.units === 'us';
  const plan = state.plan;
  const evaluation = state.evaluation;
  const chosen = search.get('crop');
  const inHand = plan.crops.some((c) => c.id === chosen)
    ? (chosen ?? undefined)
    : firstInHand(plan, evaluation);

  const open = {
    session,
    state,
    knowledge: loaded.knowledge,
    field,
    farm,
    fieldSave,
    onFarm: setFarm,
    us,
    inHand,
    takeInHand: (cropId: string) =>
      setSearch(
        (now) => {
          now.set('crop', cropId);
          return now;
        },
        { replace: true },
      ),
    openWorking: setWorking,
  };

  const moved = useMemo(() => {
    const known = new Map(evaluation?.section.pins.map((p) => [p.operationId, p.date]));
    return Object.fromEntries(
      plan.operations.flatMap((o) =>
        o.when.on && known.has(o.id) && known.get(o.id) !== o.when.on ? [[o.id, o.when.on]] : [],
      ),
    );
  }, [plan, evaluation]);

  const hand: SectionHand = {
    drag: (id, day) => {
      beforeDrag.current ??= plan;
      session.change((p) => moveOperation(p, id, day), true);
    },
    dragStand: (subject, days) => {
      const old = (beforeDrag.current ??= plan);
      session.change(() => moveSubject(old, subject, days), true);
    },
    drop: () => {
      beforeDrag.current = undefined;
      void session.flush();
    },
    cancel: () => {
      const old = beforeDrag.current;
      beforeDrag.current = undefined;
      if (old) session.change(() => old);
    },
    step: (id, day) => session.change((p) => moveOperation(p, id, day)),
    pick: (subject) => {
      const cover = evaluation?.covers.find((c) => c.id === subject);
      const crop = cover?.nextCropId ?? subject;
      if (plan.crops.some((c) => c.id === crop)) open.takeInHand(crop);
    },
    note: (n) => setNote(noteKey(n)),
  };

  const Body = BODY[step.id];
  const focus = focusOf(step, evaluation, inHand);
  return (
    <PlanContext value={open}>
      <DecimalSignContext value={decimalSignOf(us)}>
        <TopBar
          tools={
            <>
              <SaveLine />
              <PlanFiles />
              <UnitsSwitch />
            </>
          }
        />
        <main className="px-4 max-[640px]:px-2">
          <TitleRow />
          <Choice />
          <div ref={ref} className="overflow-hidden" style={{ height }}>
            {evaluation && (
              <GroundSection
                evaluation={evaluation}
                fold={step.fold}
                width={width}
                height={height}
                us={us}
                inHand={inHand}
                focus={focus}
                inStep={inStepOf(step, plan, evaluation, inHand)}
                oneWindow={width < NARROW}
                moved={moved}
                hand={hand}
              />
            )}
            {!evaluation && state.problems.length === 0 && (
              <p className="pt-10 text-center italic">drawing the section</p>
            )}
          </div>
          {state.stale && (
            <p role="status" className="border-y border-hand py-1 text-hand">
              The figures are of before your last changes: the server does not answer at the moment.
            </p>
          )}
          {state.problems.length > 0 && (
            <p role="alert" className="border-y border-hand py-1 text-hand">
              The figures below are of the last sound plan. {state.problems[0]?.message}
            </p>
          )}
          <div
            aria-busy={state.busy}
            className="grid grid-cols-[96px_minmax(0,1fr)_296px] gap-x-6 border-t border-rule pt-3 pb-12 max-[1100px]:grid-cols-[92px_minmax(0,1fr)] max-[700px]:grid-cols-1"
          >
            <StepLine step={step.id} done={decided(plan, evaluation, inHand)} />
            <section aria-label={step.name} data-work className="min-w-0 outline-none">
              <Body lots={loaded.lots} />
            </section>
            <aside className="border-l-[1.25px] border-ink pl-5 max-[1100px]:col-span-full max-[1100px]:mt-6 max-[1100px]:border-t max-[1100px]:border-l-0 max-[1100px]:pt-3 max-[1100px]:pl-0">
              <Ledger />
              <Notes step={step.id} opened={note} onOpen={setNote} />
            </aside>
          </div>
        </main>
        <WorkingPanel figureId={working} onFigure={setWorking} />
      </DecimalSignContext>
    </PlanContext>
  );
}
