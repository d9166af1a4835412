import type { ReactNode } from 'react';

/** One side of a conflict, in words. */
export function Side({ name, changes, none }: { name: string; changes: string[]; none?: string }) {
  return (
    <div className="min-w-[14rem] flex-1">
      <h3 className="text-[13px] font-normal text-ink2">{name}</h3>
      <ul className="text-[14px]">
        {changes.map((c) => (
          <li key={c}>{c}</li>
        ))}
        {changes.length === 0 && none && <li className="italic">{none}</li>}
      </ul>
    </div>
  );
}

/** A choice that has to be made, beside the page and never over it: what was typed stays in sight. */
export function Both(props: {
  title: string;
  note?: string;
  sides: ReactNode;
  children: ReactNode;
}) {
  return (
    <section
      role="alertdialog"
      aria-label={props.title}
      className="my-2 border-2 border-hand bg-handwash px-4 py-3"
    >
      <h2 className="text-[16px] font-bold">{props.title}</h2>
      {props.note && <p className="text-[13.5px] italic">{props.note}</p>}
      <div className="mt-2 flex max-h-60 flex-wrap gap-x-8 gap-y-3 overflow-y-auto">
        {props.sides}
      </div>
      <div className="mt-3 flex flex-wrap gap-2">{props.children}</div>
    </section>
  );
}
