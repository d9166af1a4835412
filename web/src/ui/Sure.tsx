import type { ReactNode } from 'react';

import { Panel } from './Panel';

/** Says what goes for good before it goes; nothing is done until the button is pressed. */
export function Sure({
  title,
  doing,
  open,
  pending,
  error,
  onSure,
  onClose,
  children,
}: {
  title: string;
  /** Words of the button that does it. */
  doing: string;
  open: boolean;
  pending: boolean;
  error?: Error | null;
  onSure: () => void;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Panel title={title} open={open} onOpenChange={(o) => !o && onClose()}>
      <p>{children}</p>
      {error && (
        <p role="alert" className="text-hand">
          {error.message}
        </p>
      )}
      <button type="button" className="btn btn-main mt-3" disabled={pending} onClick={onSure}>
        {doing}
      </button>
    </Panel>
  );
}
