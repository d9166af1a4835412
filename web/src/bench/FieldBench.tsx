import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore, type ComponentType } from 'react';
import { Link, useParams } from 'react-router';

import type { Farm, Field, Knowledge, Lot, Plan } from '../api/client';
import { Ledger } from '../ledger/Ledger';
import { Notes } from '../ledger/Notes';
import { WorkingPanel } from '../ledger/WorkingPanel';
import { PlanContext } from '../plan/context';
import { operationOf } from '../plan/edit';
import { PlanSession } from '../plan/PlanSession';
import { SaveLine } from '../plan/SaveLine';
import { GroundSection } from '../section/GroundSection';
import { useWidth } from '../section/useWidth';
import { GROUPS, GroupMark } from '../ui/GroupMark';
import { AimsStep } from './AimsStep';
import { EndStep } from './EndStep';
import { FeedStep } from './FeedStep';
import { FieldStep } from './FieldStep';
import { MixStep } from './MixStep';
import { PlantStep } from './PlantStep';
import { RotationStep } from './RotationStep';
import { SowStep } from './SowStep';
import { STEPS, type StepId, type StepProps } from './steps';

interface Loaded {
  saved: ConstructorParameters<typeof PlanSession>[0];
  field: Field;
  farms: Farm[];
  knowledge: Knowledge;
  lots: Lot[];
}

/** Which steps the plan has an answer for. */
function decided(plan: Plan): Record<StepId, boolean> {
  const v = plan.covers[0];
  const c = plan.crops.find((x) => x.id === v?.place.cropId);
  return {
    field: true,
    rotation: plan.crops.length > 1,
    aims: (v?.aims?.length ?? 0) > 0,
    mix: (v?.mix?.components.length ?? 0) > 0,
    sow: v !== undefined && operationOf(plan, 'sow', v.id) !== undefined,
    end: v !== undefined && operationOf(plan, 'end', v.id) !== undefined,
    plant: c !== undefined && operationOf(plan, 'sow', c.id)?.params?.system !== undefined,
    feed: c?.nitrogen?.product !== undefined,
  };
}

const BODY: Record<StepId, ComponentType<StepProps>> = {
  field: FieldStep,
  rotation: RotationStep,
  aims: AimsStep,
  mix: MixStep,
  sow: SowStep,
  end: EndStep,
  plant: PlantStep,
  feed: FeedStep,
};

export function FieldBench({ loaded }: { loaded: Loaded }) {
  const { step: asked } = useParams();
  const step = STEPS.find((s) => s.id === asked)?.id ?? 'rotation';
  const [session] = useState(() => new PlanSession(loaded.saved));
  const state = useSyncExternalStore(session.subscribe, session.snapshot);
  const [field, setField] = useState(loaded.field);
  const [working, setWorking] = useState<string>();
  const queries = useQueryClient();
  const [ref, width] = useWidth(1240);
  const farm = loaded.farms.find((f) => f.id === field.farmId) ?? loaded.farms[0]!;
  const us = farm.units === 'us';

  useEffect(() => {
    const warn = (e: BeforeUnloadEvent) => {
      if (session.hasUnsaved()) {
        void session.flush();
        e.preventDefault();
      }
    };
    const keys = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement;
      if (typing || !(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
      e.preventDefault();
      void (e.shiftKey ? session.redo() : session.undo());
    };
    window.addEventListener('beforeunload', warn);
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('keydown', keys);
      session.close();
      void queries.invalidateQueries({ queryKey: ['fields'] });
    };
  }, [session, queries]);

  const open = useMemo(
    () => ({
      session,
      state,
      knowledge: loaded.knowledge,
      field,
      farm,
      us,
      openWorking: setWorking,
    }),
    [session, state, loaded.knowledge, field, farm, us],
  );
  const evaluation = state.evaluation;
  const done = decided(state.plan);
  const Body = BODY[step];
  const area = evaluation?.figures['field/area'];
  return (
    <PlanContext value={open}>
      <main className="px-4 max-[640px]:px-2">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-1.5">
          <h1 className="text-[22px] leading-tight font-bold">{field.name}</h1>
          <span className="text-[14px] italic">
            {farm.name}
            {area && (
              <>
                ,{' '}
                <span className="fig not-italic">
                  {area.text} {area.unit}
                </span>
              </>
            )}
          </span>
          <span className="text-[13.5px] text-ink2">
            {[field.texture, field.drainage].filter(Boolean).join(' · ')}
          </span>
          <SaveLine />
          <ul
            className="fig flex flex-wrap gap-x-3 text-[12px] text-ink2 max-[1100px]:hidden"
            aria-label="Functional groups"
          >
            {GROUPS.map((g) => (
              <li key={g.id} className="flex items-center gap-1">
                <GroupMark group={g.id} /> {g.name}
              </li>
            ))}
          </ul>
        </div>
        <div ref={ref} className="h-[316px] overflow-hidden">
          {evaluation && (
            <GroundSection section={evaluation.section} width={width} height={316} us={us} />
          )}
          {!evaluation && <p className="pt-20 text-center italic">drawing the section</p>}
        </div>
        {state.problems.length > 0 && (
          <p role="alert" className="border-y border-hand py-1 text-hand">
            The figures below are of the last sound plan. {state.problems[0]?.message}
          </p>
        )}
        <div className="grid grid-cols-[100px_minmax(0,1fr)_300px] gap-x-6 border-t border-rule pt-3 pb-12 max-[1100px]:grid-cols-[92px_minmax(0,1fr)] max-[640px]:grid-cols-1">
          <nav aria-label="Steps" className="relative max-[640px]:mb-3">
            <ol className="flex flex-col max-[640px]:flex-row max-[640px]:flex-wrap">
              {STEPS.map((s) => (
                <li key={s.id}>
                  <Link
                    to={`/fields/${field.id}/${s.id}`}
                    aria-current={s.id === step ? 'step' : undefined}
                    className={`flex h-[31px] items-center gap-2 px-1.5 text-[15px] ${
                      s.id === step ? 'bg-ink font-bold text-paper' : 'hover:bg-paper2'
                    }`}
                  >
                    <svg width="12" height="12" aria-hidden>
                      <circle
                        cx="6"
                        cy="6"
                        r="4.500"
                        fill={done[s.id] ? 'currentColor' : 'none'}
                        stroke="currentColor"
                        strokeWidth="1.500"
                      />
                    </svg>
                    {s.name}
                    <span className="sr-only">{done[s.id] ? ', decided' : ', open'}</span>
                  </Link>
                </li>
              ))}
            </ol>
          </nav>
          <section aria-label={STEPS.find((s) => s.id === step)?.name} className="min-w-0">
            <Body onField={setField} lots={loaded.lots} />
          </section>
          <aside className="border-l-[1.25px] border-ink pl-5 max-[1100px]:col-span-full max-[1100px]:mt-6 max-[1100px]:border-t max-[1100px]:border-l-0 max-[1100px]:pt-3 max-[1100px]:pl-0">
            <Ledger />
            <Notes step={step} />
          </aside>
        </div>
      </main>
      <WorkingPanel figureId={working} onFigure={setWorking} />
    </PlanContext>
  );
}
