import { createContext, useContext } from 'react';

/** The decimal sign a farm writes: known for farms in US units, else not taken for granted. */
export type DecimalSign = 'point' | undefined;

/** The sign of the farm whose fields are on the page. */
export const DecimalSignContext = createContext<DecimalSign>(undefined);

export const useDecimalSign = () => useContext(DecimalSignContext);

/** The decimal sign of a farm: in the United States a comma groups thousands. */
export const decimalSignOf = (us: boolean): DecimalSign => (us ? 'point' : undefined);

export type NumberRead =
  | { kind: 'number'; value: number }
  /** A single comma or point with three digits behind it: thousands or decimals, only its writer knows. */
  | { kind: 'either'; grouped: number; decimal: number }
  | { kind: 'none' };

const NONE: NumberRead = { kind: 'none' };
const GROUPED: Record<string, RegExp> = {
  ',': /^\d{1,3}(,\d{3})+$/,
  '.': /^\d{1,3}(\.\d{3})+$/,
  ' ': /^\d{1,3}( \d{3})+$/,
};

/**
 * The number in a text. Thousands may be grouped by blanks, apostrophes, commas or points, decimals stand behind a point or a
 * comma. What can be both is not guessed: "1,200" and "1.200" are asked about unless the farm's decimal sign is known.
 */
export function readNumber(text: string, sign?: DecimalSign): NumberRead {
  const plain = text
    .trim()
    .replace(/^\u2212/, '-')
    .replace(/[\s\u00a0\u202f'’]/g, ' ');
  const minus = plain.startsWith('-');
  const body = minus ? plain.slice(1) : plain;
  const number = (digits: string): NumberRead => {
    const v = Number(digits);
    return Number.isFinite(v) ? { kind: 'number', value: minus ? -v : v } : NONE;
  };
  const marks = body.replace(/[\d ]/g, '');
  if (!/^[\d., ]*\d[\d., ]*$/.test(body) || marks.length > 12) return NONE;
  const last = Math.max(body.lastIndexOf(','), body.lastIndexOf('.'));
  const mark = last < 0 ? '' : body[last]!;
  const both = marks.includes(',') && marks.includes('.');
  const often = marks.length > 1 && !both;
  const whole = last < 0 || often ? body : body.slice(0, last);
  const behind = last < 0 || often ? '' : body.slice(last + 1);
  const group = often ? mark : both ? (mark === ',' ? '.' : ',') : ' ';
  if (whole !== '' && !/^\d+$/.test(whole) && !GROUPED[group]!.test(whole)) return NONE;
  if (!/^\d*$/.test(behind)) return NONE;
  const digits = whole.replace(/\D/g, '');
  const decimal = `${digits || '0'}.${behind || '0'}`;
  const couldGroup = mark !== '' && !both && !often && /^[1-9]\d{0,2}$/.test(whole);
  if (couldGroup && behind.length === 3) {
    if (sign === 'point') return number(mark === ',' ? digits + behind : decimal);
    const sense = (d: string) => (minus ? -Number(d) : Number(d));
    return { kind: 'either', grouped: sense(digits + behind), decimal: sense(decimal) };
  }
  return number(decimal);
}

/** A unit of the documents as people read it. */
export const unitText = (symbol: string, currency = '') =>
  symbol.replace('¤', currency).replace(/(m|ft)2$/, '$1²');
