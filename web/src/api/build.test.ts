import { beforeEach, expect, test, vi } from 'vitest';

beforeEach(() => vi.resetModules());

test('an answer of another build makes the page outdated, once', async () => {
  const { seeBuild, isOutdated, onOutdated } = await import('./build');
  const heard = vi.fn();
  onOutdated(heard);
  seeBuild(null);
  seeBuild('a');
  seeBuild('a');
  expect(isOutdated()).toBe(false);
  seeBuild('b');
  seeBuild('b');
  expect(isOutdated()).toBe(true);
  expect(heard).toHaveBeenCalledTimes(1);
});

test('who no longer listens hears nothing', async () => {
  const { seeBuild, onOutdated } = await import('./build');
  const heard = vi.fn();
  onOutdated(heard)();
  seeBuild('a');
  seeBuild('b');
  expect(heard).not.toHaveBeenCalled();
});
