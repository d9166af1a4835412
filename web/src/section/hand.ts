import type { Note } from './model';

/** What the hand does to a date in the section. */
export interface SectionHand {
  /** Called at every day while a pin is dragged. */
  drag: (operationId: string, day: string) => void;
  /** Called at every day while a whole stand is dragged: by how many days in all. */
  dragStand: (subject: string, days: number) => void;
  drop: () => void;
  cancel: () => void;
  /** One keyboard step. */
  step: (operationId: string, day: string) => void;
  pick: (subject: string) => void;
  note: (note: Note) => void;
}
