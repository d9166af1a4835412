import type { Section } from './geometry';
import { spokenDate } from './scale';

/** The section in words, for those who do not see it. */
export function inWords(s: Section, us: boolean) {
  if (s.stands.length === 0) return 'Nothing stands here yet.';
  const stands = s.stands.map(
    (x) =>
      `${x.label}, ${x.cover ? 'cover' : 'cash crop'}, ${spokenDate(x.from)} to ${x.open ? 'no end set' : spokenDate(x.to)}`,
  );
  const deep = (cm: number) => (us ? `${(cm / 2.54).toFixed(1)} inches` : `${Math.round(cm)} cm`);
  const passes = s.passes
    .filter((p) => p.share > 0)
    .map((p) => `${p.name} ${spokenDate(p.date)}, ${deep(p.depthCm)} deep`);
  return `${stands.join('. ')}. Passes: ${passes.join('; ') || 'none'}.`;
}
