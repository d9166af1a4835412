import type { Evaluation } from '../api/client';
import type { Section } from './model';
import { planBDays } from './planB';
import { spokenDate } from '../ui/days';
import { inchesOfCm } from '../ui/convert';

/** The section in words, for those who do not see it. */
export function inWords(s: Section, us: boolean, e?: Pick<Evaluation, 'windows' | 'end'>) {
  if (s.stands.length === 0) return 'Nothing stands here yet.';
  const stands = s.stands.map(
    (x) =>
      `${x.label}, ${x.cover ? 'cover' : 'cash crop'}, ${spokenDate(x.from)} to ${x.open ? 'no end set' : spokenDate(x.to)}`,
  );
  const deep = (cm: number) =>
    us ? `${inchesOfCm(cm).toFixed(1)} inches` : `${Math.round(cm)} cm`;
  const passes = s.passes
    .filter((p) => p.share > 0)
    .map((p) => `${p.name} ${spokenDate(p.date)}, ${deep(p.depthCm)} deep`);
  const windows = (e?.windows ?? [])
    .filter((w) => w.kind === 'between')
    .map((w) => {
      const warmth = w.degreeDays;
      return `${w.days.text} days from ${spokenDate(w.from)} to ${spokenDate(w.to)}${warmth ? `, ${warmth.text} ${warmth.unit} above ${us ? '39 °F' : '4 °C'}` : ''}`;
    });
  const told = windows.length > 0 ? ` Windows: ${windows.join('; ')}.` : '';
  const frosts = s.frosts.map((f) => `${spokenDate(f.from)} to ${spokenDate(f.to)}`);
  const cold = e && frosts.length > 0 ? ` Usual frost: ${frosts.join('; ')}.` : '';
  const planB = e ? planBDays(e).map((b) => ` ${b.text}`) : [];
  return `${stands.join('. ')}. Passes: ${passes.join('; ') || 'none'}.${told}${cold}${planB.join('')}`;
}
