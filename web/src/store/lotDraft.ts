import { z } from 'zod';

import type { Lot } from '../api/client';
import { newId } from '../ui/tidy';

/** A lot as far as it is typed. */
export type LotDraft = Partial<Lot> & { id: string };

export const blankLot = (): LotDraft => ({ id: newId('lot-') });

const percent = (what: string) => z.number({ error: `${what} is on the tag, in percent` });

/** What a lot must have before it is sent; the server checks the rest. */
export const LOT = z.looseObject({
  species: z.string({ error: 'choose a species' }).min(1, 'choose a species'),
  label: z.string({ error: 'a name, to know it by' }).trim().min(1, 'a name, to know it by'),
  purityPercent: percent('purity'),
  germinationPercent: percent('germination'),
});

/** What a part of the form edits: the lot so far, and what is wrong at a place of it. */
export interface LotPart {
  lot: LotDraft;
  set: (change: Partial<Lot>) => void;
  at: (pointer: string) => string | undefined;
  us: boolean;
}
