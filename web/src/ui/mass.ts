import type { Units } from '../api/units';
import { poundsOfKg } from './convert';

/** A mass of seed in the units read: whole above a hundred, a tenth below. */
export function seedMass(kilograms: number, units: Units) {
  const v = units === 'us' ? poundsOfKg(kilograms) : kilograms;
  return v >= 99.95
    ? Math.round(v).toLocaleString('en-GB').replaceAll(',', '\u202f')
    : v.toFixed(1);
}

export const massUnit = (units: Units) => (units === 'us' ? 'lb' : 'kg');
