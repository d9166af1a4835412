import type { Quantity, UnitSymbol } from '../api/client';

const POUND_KG = 0.45359237;
const ACRE_HA = 0.40468564224;
const GALLON_L = 3.785411784;

/** Units that people write numbers down in, by what they measure, each in the first of its list; exact. */
const FAMILIES: Partial<Record<UnitSymbol, number>>[] = [
  {
    'kg/ha': 1,
    'lb/ac': POUND_KG / ACRE_HA,
    't/ha': 1000,
    'ton/ac': (2000 * POUND_KG) / ACRE_HA,
    'kg/ac': 1 / ACRE_HA,
    'lb/ha': POUND_KG,
    'q/ha': 100,
    'cwt/ac': (100 * POUND_KG) / ACRE_HA,
  },
  {
    kg: 1,
    lb: POUND_KG,
    t: 1000,
    ton: 2000 * POUND_KG,
    g: 0.001,
    oz: POUND_KG / 16,
    cwt: 100 * POUND_KG,
    q: 100,
  },
  { L: 1, gal: GALLON_L, 'fl oz': GALLON_L / 128 },
];

/** Offered after a field's own, where it takes rates, masses or volumes at all. */
const ALSO: UnitSymbol[][] = [['kg/ac', 'lb/ha', 'q/ha', 'cwt/ac'], ['cwt', 'q'], ['fl oz']];

const familyOf = (u: UnitSymbol) => FAMILIES.findIndex((f) => u in f);

/** What else a number of a field can be typed in; grams and ounces of a cut are left alone. */
export function otherUnits(units: UnitSymbol[]): UnitSymbol[] {
  const family = familyOf(units[0]!);
  if (family < 0 || units.includes('g') || units.includes('oz')) return [];
  return ALSO[family]!.filter((u) => !units.includes(u));
}

/** A number in another unit of its kind, to three figures; undefined between kinds. */
export function converted(q: Quantity, to: UnitSymbol): string | undefined {
  const family = FAMILIES[familyOf(q.unit)];
  const a = family?.[q.unit];
  const b = family?.[to];
  return a === undefined || b === undefined
    ? undefined
    : String(Number(((q.value * a) / b).toPrecision(3)));
}
