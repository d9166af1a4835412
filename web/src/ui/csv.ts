/** A field of RFC 4180. */
export const csvField = (text: string) =>
  /[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;

/** Lines of fields as a file. */
export const csvOf = (lines: string[][]) =>
  lines.map((l) => l.map(csvField).join(',')).join('\n') + '\n';

/** A number as it is shown, as a spreadsheet reads it. */
export const plainNumber = (shown: string) =>
  shown.replace(/[\u2009\u202f\u00a0]/g, '').replace('\u2212', '-');
