import {
  addDependencies,
  create,
  divideDependencies,
  evaluateDependencies,
  multiplyDependencies,
} from 'mathjs/number';

import type { CatchTest, Kind } from './test';

// the four operations of the expressions, and no more of the package
const math = create({
  ...evaluateDependencies,
  ...multiplyDependencies,
  ...divideDependencies,
  ...addDependencies,
});

/** What a machine delivers, worked out on the phone while the server is out of reach. */
export interface Offline {
  /** In the unit that is aimed at, else the kind's own. */
  delivered: number;
  unit: string;
  /** By how much more it must deliver, %; nothing without an aim. */
  change: number | undefined;
}

/** The kind's own expression over what was measured; undefined where that has no answer. */
export function offline(kind: Kind, test: CatchTest): Offline | undefined {
  const scope: Record<string, number> = {};
  for (const m of kind.measures) {
    const q = test.measured[m.symbol];
    if (!q) return undefined;
    scope[m.symbol] = q.value * (q.unit ? (m.factors[q.unit] ?? NaN) : 1);
  }
  const own = math.evaluate(kind.expression, scope) as number;
  const unit = test.target?.unit ?? kind.delivers;
  const delivered = own / (kind.factors[unit] ?? NaN);
  return Number.isFinite(delivered) && delivered > 0
    ? {
        delivered,
        unit,
        change: test.target ? (test.target.value / delivered - 1) * 100 : undefined,
      }
    : undefined;
}
