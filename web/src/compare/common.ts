import type { Evaluation } from '../api/client';
import { addDays } from '../ui/days';

/** Days that a section shows before and after what stands in it; the window shown adds its own. */
const MARGIN_DAYS = 20;

/** Evaluations drawn on one scale: the days that all of them span, the tallest height, the deepest depth. */
export function common(evaluations: Evaluation[]): {
  from: string;
  to: string;
  evaluations: Evaluation[];
} {
  const sections = evaluations.map((e) => e.section);
  const heightM = Math.max(...sections.map((s) => s.heightM));
  const depthM = Math.max(...sections.map((s) => s.depthM));
  return {
    from: addDays(sections.map((s) => s.from).sort()[0] ?? '', MARGIN_DAYS),
    to: addDays(
      sections
        .map((s) => s.to)
        .sort()
        .reverse()[0] ?? '',
      -MARGIN_DAYS,
    ),
    evaluations: evaluations.map((e) => ({ ...e, section: { ...e.section, heightM, depthM } })),
  };
}
