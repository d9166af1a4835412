import { useSyncExternalStore } from 'react';

import { isOutdated, onOutdated } from '../api/build';

/** Asks for the page to be loaded again when the server runs a newer build. */
export function Outdated() {
  const outdated = useSyncExternalStore(onOutdated, isOutdated);
  if (!outdated) return null;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-3 border-b border-ink bg-paper2 px-4 py-2"
    >
      Etlo was updated. Reload this page to go on; what you typed is kept.
      <button type="button" className="btn" onClick={() => globalThis.location.reload()}>
        Reload
      </button>
    </div>
  );
}
