/** A new id that starts with a letter. */
export const newId = (letter: string) => letter + crypto.randomUUID().slice(0, 8);

/** A copy without members that are undefined: in a plan, absent means default. */
export function tidy<T extends object>(o: T): T {
  return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;
}
