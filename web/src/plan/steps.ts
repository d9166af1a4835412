import type { Lot } from '../api/client';

/** The steps of the work in their order; those without a date to move fold the section to a strip. */
export const STEPS = [
  { id: 'field', name: 'Field', about: 'plan', fold: 'full' },
  { id: 'rotation', name: 'Rotation', about: 'plan', fold: 'full' },
  { id: 'aims', name: 'Aims', about: 'cover', fold: 'strip' },
  { id: 'mix', name: 'Mix', about: 'cover', fold: 'strip' },
  { id: 'sow', name: 'Sow', about: 'cover', fold: 'strip' },
  { id: 'grow', name: 'Grow', about: 'cover', fold: 'full' },
  { id: 'end', name: 'End', about: 'cover', fold: 'full' },
  { id: 'plant', name: 'Plant', about: 'crop', fold: 'full' },
  { id: 'feed', name: 'Feed', about: 'crop', fold: 'strip' },
] as const;

export type Step = (typeof STEPS)[number];
export type StepId = Step['id'];

/** What every step may use beside the open plan. */
export interface StepProps {
  lots: Lot[];
}
