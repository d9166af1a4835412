/**
 * What is typed and not yet saved, kept in the browser: a page that is closed or reloaded while the server is away finds it
 * again. Kept under the person's address, so that nobody sends another's.
 */
const PREFIX = 'etlo.unsaved';

const place = (who: string, what: string) => `${PREFIX}.${who}.${what}`;

export const drafts = {
  keep(who: string, what: string, value: unknown) {
    try {
      localStorage.setItem(place(who, what), JSON.stringify(value));
    } catch {
      // without room the page itself still keeps it
    }
  },

  find<T>(who: string, what: string): T | undefined {
    try {
      const text = localStorage.getItem(place(who, what));
      return text ? (JSON.parse(text) as T) : undefined;
    } catch {
      return undefined;
    }
  },

  drop(who: string, what: string) {
    try {
      localStorage.removeItem(place(who, what));
    } catch {
      // there is nothing to drop then
    }
  },
};
