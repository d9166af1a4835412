import type { Schemas } from '../api/client';

export type Library = Schemas['SpeciesView'];
export type Sheet = Schemas['SheetView'];
export type Column = Schemas['ColumnView'];

export const SECTIONS: { id: string; name: string }[] = [
  { id: 'plant', name: 'Plant' },
  { id: 'seed', name: 'Seed and rate' },
  { id: 'growth', name: 'Growth' },
  { id: 'site', name: 'Site' },
  { id: 'nitrogen', name: 'Nitrogen and carbon' },
  { id: 'ending', name: 'Ending' },
  { id: 'use', name: 'Use and cautions' },
];

/** At most so many species stand side by side. */
export const MOST_BESIDE = 4;

/** A low, middle and high column belong together and are shown as one line. */
const TOGETHER: Record<string, [string, string]> = {
  seedsPerKg: ['seedsPerKgLow', 'seedsPerKgHigh'],
  rateKgHa: ['rateLowKgHa', 'rateHighKgHa'],
  price: ['priceLow', 'priceHigh'],
  massTHa: ['massLowTHa', 'massHighTHa'],
};

/** The columns that stand around this one's middle. */
export const around = (column: string): [string, string] | undefined => TOGETHER[column];

/** The lines of a section: columns that are only the ends of another's span are left to it. */
export function linesOf(columns: Column[], section: string): Column[] {
  const ends = new Set(Object.values(TOGETHER).flat());
  return columns.filter((c) => c.section === section && !ends.has(c.id));
}

/** Whether a species answers to what is searched for: its names, family, group, hosts and cautions. */
export function answers(s: Sheet, find: string): boolean {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const text = [
    s.name,
    s.group.replace('-', ' '),
    ...['botanical', 'family', 'hosts', 'breaks', 'cautions', 'lifeCycle', 'level'].map(
      (c) => s.cells[c] ?? '',
    ),
  ]
    .join(' ')
    .toLowerCase();
  return words.every((w) => text.includes(w));
}

/** Figures with thin spaces between thousands; other text as it is. */
export function shown(text: string | undefined): string {
  if (text === undefined) return '–';
  if (!/^-?\d+(\.\d+)?$/.test(text)) return text;
  const v = Number(text);
  return Math.abs(v) >= 10000 ? v.toLocaleString('en-GB').replaceAll(',', '\u202f') : text;
}
