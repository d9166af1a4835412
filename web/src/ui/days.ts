export const DAY_MS = 86_400_000;

/** Days since 1970 of a date written yyyy-mm-dd. */
export const dayNumber = (date: string) => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY_MS);

export const MONTHS = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
];

/** A date without doubt: 12 May 2027; without the year where it stands beside it. */
export function spokenDate(date: string, year = true) {
  const [y, m, d] = date.split('-');
  return `${Number(d)} ${MONTHS[Number(m) - 1] ?? ''}${year ? ` ${y}` : ''}`;
}

/** The date, yyyy-mm-dd, of a number of days since 1970. */
export const dateOf = (day: number) => new Date(day * DAY_MS).toISOString().slice(0, 10);

export const addDays = (date: string, days: number) => dateOf(dayNumber(date) + days);

export const spokenDay = (day: number) => spokenDate(dateOf(day));
