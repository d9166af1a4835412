import { createContext, useContext } from 'react';

import type { Farm, Field, Knowledge } from '../api/client';
import type { FieldSave } from './useFieldSave';
import type { PlanSession, PlanState } from './PlanSession';

export interface OpenPlan {
  session: PlanSession;
  state: PlanState;
  knowledge: Knowledge;
  field: Field;
  farm: Farm;
  fieldSave: FieldSave;
  us: boolean;
  onFarm: (farm: Farm) => void;
  /** The crop in hand: the one whose window, cover, planting and feeding the bench is about. */
  inHand: string | undefined;
  takeInHand: (cropId: string) => void;
  openWorking: (figureId: string) => void;
}

export const PlanContext = createContext<OpenPlan | null>(null);

export function useOpenPlan(): OpenPlan {
  const plan = useContext(PlanContext);
  if (!plan) throw new Error('no plan is open here');
  return plan;
}
