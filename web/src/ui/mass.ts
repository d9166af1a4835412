import type { Units } from '../account/units';

const KG_PER_LB = 0.45359237;

/** A mass of seed in the units read: whole above a hundred, a tenth below. */
export function seedMass(kilograms: number, units: Units) {
  const v = units === 'us' ? kilograms / KG_PER_LB : kilograms;
  return v >= 99.95
    ? Math.round(v).toLocaleString('en-GB').replaceAll(',', '\u202f')
    : v.toFixed(1);
}

export const massUnit = (units: Units) => (units === 'us' ? 'lb' : 'kg');
