let own: string | undefined;
let newer = false;
const listeners = new Set<() => void>();

/** Takes the build that an answer came from; the first one is this page's own. */
export function seeBuild(build: string | null) {
  if (!build) return;
  own ??= build;
  if (build !== own && !newer) {
    newer = true;
    listeners.forEach((l) => l());
  }
}

/** Whether the server runs another build than the one this page was loaded from. */
export const isOutdated = () => newer;

export function onOutdated(listener: () => void) {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}
