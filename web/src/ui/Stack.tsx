import { useLayoutEffect, useRef, type ReactNode } from 'react';

/** What stands in a heading: name and unit lie on two lines, and are two words. */
const wordsOf = (th: HTMLElement) =>
  [...th.childNodes]
    .map((n) => n.textContent?.trim() ?? '')
    .filter((t) => t !== '')
    .join(' ');

/**
 * A table that is shown line under line where its columns have no room, each value with the name of its column: nothing of it lies off the
 * page, however narrow.
 */
export function Stack({
  children,
  className = '',
  label,
}: {
  children: ReactNode;
  className?: string;
  label?: string;
}) {
  const ref = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const names = [...(ref.current?.querySelectorAll<HTMLElement>('thead th') ?? [])].map(
      (th) => th.dataset.name ?? wordsOf(th),
    );
    for (const row of ref.current?.querySelectorAll<HTMLTableRowElement>('tbody tr, tfoot tr') ??
      []) {
      let column = 0;
      for (const cell of row.cells) {
        const name = cell.colSpan === 1 ? names[column] : '';
        if (name && column > 0) cell.dataset.label = name;
        else delete cell.dataset.label;
        column += cell.colSpan;
      }
    }
  });
  return (
    <div
      ref={ref}
      className={`stack ${className}`}
      {...(label ? { role: 'region', 'aria-label': label } : {})}
    >
      {children}
    </div>
  );
}
