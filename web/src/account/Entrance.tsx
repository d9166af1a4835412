import type { ReactNode } from 'react';

import { Horizon } from './Horizon';

/** The page before signing in: the name, a horizon, and one form under the ground. */
export function Entrance(props: {
  title: string;
  onSubmit: () => void;
  problem?: string;
  children: ReactNode;
}) {
  return (
    <main className="flex min-h-dvh flex-col bg-[var(--soil)]">
      <div className="bg-paper px-8 pt-16 text-right sm:px-24">
        <h1 className="text-[40px] leading-none font-bold">Etlo</h1>
        <p className="text-[16px] text-ink2 italic">
          what grows between the crops, and what it leaves them
        </p>
      </div>
      <div className="bg-paper">
        <Horizon />
      </div>
      <div className="-mt-28 px-8 pb-8 sm:px-24">
        <form
          noValidate
          className="relative ml-auto flex w-fit max-w-full flex-col items-start gap-3 bg-paper p-5"
          onSubmit={(e) => {
            e.preventDefault();
            props.onSubmit();
          }}
        >
          <h2>{props.title}</h2>
          {props.children}
          {props.problem && (
            <p role="alert" className="order-last max-w-72 text-hand">
              {props.problem}
            </p>
          )}
        </form>
      </div>
    </main>
  );
}
