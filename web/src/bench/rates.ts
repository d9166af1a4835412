import type { Figure, Schemas } from '../api/client';

type Rate = Schemas['RateView'];

/** Members of a rate that are figures. */
export type RateFigure = {
  [K in keyof Rate]-?: NonNullable<Rate[K]> extends Figure ? K : never;
}[keyof Rate];
