import type { Field, Problem } from '../../api/client';

/** What a part of the field step reads and writes. */
export interface PartProps {
  field: Field;
  change: (to: Partial<Field>) => void;
  problems: Problem[];
}

export const ROW = 'mt-2 flex flex-wrap items-end gap-x-5 gap-y-3';

/** Words as choices of themselves. */
export const options = (list: string[]) => list.map((t) => ({ id: t, name: t }));
