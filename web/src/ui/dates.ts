import { addDays, dayNumber, spokenDate } from './days';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day, what is wrong, or the days it could mean with what to ask. */
export type ParsedDay = { day: string } | { wrong: string; either?: string[] };

const EXAMPLE = 'write it as 12 May 2027';

function whole(y: number, m: number, d: number): ParsedDay {
  if (y < 1950 || y > 2099) return { wrong: 'a year from 1950 to 2099' };
  const date = new Date(Date.UTC(y, m - 1, d));
  if (date.getUTCMonth() !== m - 1 || date.getUTCDate() !== d)
    return { wrong: 'there is no such day' };
  return { day: date.toISOString().slice(0, 10) };
}

/** The coming day of that date from half a year back on, where no year is typed. */
function nearest(m: number, d: number, today: string): ParsedDay {
  const from = dayNumber(addDays(today, -183));
  for (let y = Number(today.slice(0, 4)) - 1; y <= Number(today.slice(0, 4)) + 1; y++) {
    const p = whole(y, m, d);
    if ('day' in p && dayNumber(p.day) >= from) return p;
  }
  return whole(Number(today.slice(0, 4)), m, d);
}

/** Where figures stand apart by points the day comes first, wherever dates are written so. */
const DOTTED = /^\d{1,2}\.\s*\d{1,2}\.\s*\d{2,4}$/;
const DAY_AND_MONTH = /^(\d{1,2})\.\s*(\d{1,2})\.$/;

/**
 * A day as people write it: 12 May 2027, May 12 2027, 12 May (its year the nearest), 2027-05-12, 12.5.2027 and 12.5. with
 * the day first. Other figures alone, such as 4/5/2027, are asked about when day and month could be taken for each other.
 */
export function parseDay(text: string, today: string): ParsedDay {
  const t = text.trim().toLowerCase();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(t);
  if (iso) return whole(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const words = t.replace(/[.,/-]/g, ' ').split(/\s+/);
  const dayAndMonth = DAY_AND_MONTH.exec(t);
  if (dayAndMonth) return nearest(Number(dayAndMonth[2]), Number(dayAndMonth[1]), today);
  const month = words.findIndex((w) => w.length >= 3 && MONTHS.some((m) => w.startsWith(m)));
  const figures = words.filter((w) => /^\d+$/.test(w)).map(Number);
  if (month >= 0 && figures.length >= 1 && words.length <= 3) {
    const m = MONTHS.findIndex((x) => words[month]?.startsWith(x)) + 1;
    const [d = 0, y] = figures;
    if (y === undefined) return nearest(m, d, today);
    return whole(y < 100 ? 2000 + y : y, m, d);
  }
  if (figures.length === 3 && words.length === 3) {
    const [a = 0, b = 0, y = 0] = figures;
    const year = y < 100 ? 2000 + y : y;
    if (DOTTED.test(t)) return whole(year, b, a);
    if (a > 12 && b <= 12) return whole(year, b, a);
    if (b > 12 && a <= 12) return whole(year, a, b);
    if (a === b) return whole(year, a, b);
    const either = [whole(year, b, a), whole(year, a, b)].flatMap((p) =>
      'day' in p ? [p.day] : [],
    );
    return either.length > 0
      ? { wrong: 'which is the month?', either }
      : { wrong: 'there is no such day' };
  }
  return { wrong: `“${text.trim().slice(0, 20)}” is not a date; ${EXAMPLE}` };
}

/** A moment as it is shown: the day and the time by this machine's clock. */
export function spokenTime(moment: string) {
  const t = new Date(moment);
  const two = (n: number) => String(n).padStart(2, '0');
  const day = `${t.getFullYear()}-${two(t.getMonth() + 1)}-${two(t.getDate())}`;
  return `${spokenDate(day)}, ${two(t.getHours())}:${two(t.getMinutes())}`;
}

/** A day as it is shown. */
export const shownDay = (day: string | undefined) => (day ? spokenDate(day) : '');
