import type { Field, Lot } from '../api/client';

export const STEPS = [
  { id: 'field', name: 'Field' },
  { id: 'rotation', name: 'Rotation' },
  { id: 'aims', name: 'Aims' },
  { id: 'mix', name: 'Mix' },
  { id: 'sow', name: 'Sow' },
  { id: 'end', name: 'End' },
  { id: 'plant', name: 'Plant' },
  { id: 'feed', name: 'Feed' },
] as const;

export type StepId = (typeof STEPS)[number]['id'];

/** What every step may use beside the open plan. */
export interface StepProps {
  onField: (field: Field) => void;
  lots: Lot[];
}
