import type { Quantity, Schemas, UnitSymbol } from '../api/client';
import { decimalSignOf, readNumber } from '../ui/numbers';

export type Kind = Schemas['KindView'];
export type CatchTest = Schemas['CatchTest'];

/** A field of the test as it is typed. */
export interface Typed {
  text: string;
  unit?: UnitSymbol;
}

export interface Draft {
  kind: string;
  machine: string;
  material: string;
  setting: Typed;
  target: Typed;
  measured: Record<string, Typed>;
  /** The box of a cover it is done for. */
  card?: NonNullable<CatchTest['card']>;
}

/** What a card of a plan hands over in the address, on what was typed before; undefined where it is of none. */
export function draftOf(search: URLSearchParams, kept: Draft): Draft | undefined {
  const planId = search.get('plan');
  const coverId = search.get('cover');
  const box = search.get('box');
  if (!planId || !coverId || !box) return undefined;
  const typed = (name: string): Typed | undefined => {
    const [text, unit] = (search.get(name) ?? '').split(' ');
    return text ? { text, unit: unit as UnitSymbol } : undefined;
  };
  const measured = Object.fromEntries(
    Object.entries(kept.measured).filter(([symbol]) => symbol !== 'caught'),
  );
  const width = typed('width');
  const distance = typed('distance');
  return {
    kind: 'drill-distance',
    machine: search.get('machine') ?? kept.machine,
    material: (search.get('material') ?? '').slice(0, 80),
    setting: { text: '' },
    target: {
      text: search.get('target') ?? '',
      unit: (search.get('targetUnit') ?? undefined) as UnitSymbol | undefined,
    },
    measured: {
      ...measured,
      ...(width ? { width } : {}),
      ...(distance ? { distance } : {}),
    },
    card: { planId, coverId, box },
  };
}

/** One key of the pad pressed on a text: figures, one decimal point, back. */
export function press(text: string, key: string): string {
  if (key === 'back') return text.slice(0, -1);
  if (key === '.') return text.includes('.') ? text : `${text || '0'}.`;
  return text.length >= 9 ? text : `${text}${key}`;
}

/** The units in which a farm of a system of units reads something, first the usual one. */
export function ordered(units: UnitSymbol[], own: UnitSymbol | undefined, us: boolean) {
  const american = new Set([
    'ft',
    'in',
    'lb',
    'oz',
    'ft2',
    'gal',
    'gal/ac',
    'lb/ac',
    'mph',
    'ton/ac',
    '/ac',
  ]);
  const fits = (u: UnitSymbol) => (us ? american.has(u) : u === own);
  return [...units].sort((a, b) => Number(fits(b)) - Number(fits(a)));
}

const number = (t: Typed | undefined, us: boolean) => {
  const read = readNumber(t?.text ?? '', decimalSignOf(us));
  return read.kind === 'number' ? read.value : undefined;
};

/** What is wrong with a text as a number; undefined for an empty one. */
export function wrongNumber(text: string, us: boolean): string | undefined {
  if (text.trim() === '') return undefined;
  const read = readNumber(text, decimalSignOf(us));
  if (read.kind === 'none') return `“${text.slice(0, 20)}” is not a number`;
  return read.kind === 'either' ? `write ${read.grouped} or ${read.decimal}` : undefined;
}

/** The test to ask about; undefined while something is still to be typed. */
export function testOf(draft: Draft, kind: Kind, us: boolean): CatchTest | undefined {
  const measured: CatchTest['measured'] = {};
  for (const m of kind.measures) {
    const typed = draft.measured[m.symbol];
    const value = number(typed, us);
    if (value === undefined) return undefined;
    const unit =
      m.unit === undefined ? undefined : (typed?.unit ?? ordered(m.units, m.unit, us)[0]);
    measured[m.symbol] = unit === undefined ? { value } : { value, unit };
  }
  if (!draft.machine.trim() || !draft.material.trim()) return undefined;
  const setting = number(draft.setting, us);
  const goal = number(draft.target, us);
  const target: Quantity | undefined =
    goal === undefined
      ? undefined
      : {
          value: goal,
          unit: draft.target.unit ?? ordered(kind.units, kind.delivers, us)[0] ?? kind.delivers,
        };
  return {
    kind: kind.id,
    machine: draft.machine.trim(),
    material: draft.material.trim(),
    measured,
    ...(setting === undefined ? {} : { setting }),
    ...(target === undefined ? {} : { target }),
    ...(draft.card ? { card: draft.card } : {}),
  };
}
