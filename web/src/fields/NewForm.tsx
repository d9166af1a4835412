import type { ReactNode } from 'react';

import { Panel } from '../ui/Panel';

/** A sheet in which something new is named and made. */
export function NewForm(props: {
  title: string;
  /** Whether its button stands out. */
  main?: boolean;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  make: string;
  isPending: boolean;
  /** What went wrong where no field of it is to blame. */
  problem: string | undefined;
  onMake: () => void;
  children: ReactNode;
}) {
  return (
    <Panel
      title={props.title}
      open={props.open}
      onOpenChange={props.onOpenChange}
      trigger={
        <button type="button" className={props.main ? 'btn btn-main' : 'btn'}>
          {props.title}
        </button>
      }
    >
      <form
        noValidate
        className="flex flex-col items-start gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          props.onMake();
        }}
      >
        {props.children}
        {props.problem && (
          <p role="alert" className="text-hand">
            {props.problem}
          </p>
        )}
        <button type="submit" className="btn btn-main" disabled={props.isPending}>
          {props.make}
        </button>
      </form>
    </Panel>
  );
}
