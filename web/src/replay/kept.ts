import type { Choice } from './api';

/** How far somebody has come in a replay: where they stand and what they chose. */
export interface Course {
  day: string;
  choices: Choice[];
}

const key = (planId: string, revision: number, coverId: string, year: number) =>
  `etlo replay ${planId} ${revision} ${coverId} ${year}`;

/** Kept in this browser, so that leaving the page or closing it loses nothing of a replay. */
export function keptCourse(planId: string, revision: number, coverId: string, year: number) {
  try {
    const text = localStorage.getItem(key(planId, revision, coverId, year));
    return text ? (JSON.parse(text) as Course) : undefined;
  } catch {
    return undefined;
  }
}

export function keepCourse(
  planId: string,
  revision: number,
  coverId: string,
  year: number,
  course: Course | undefined,
) {
  try {
    const at = key(planId, revision, coverId, year);
    if (course) localStorage.setItem(at, JSON.stringify(course));
    else localStorage.removeItem(at);
  } catch {
    // a browser that keeps nothing still replays
  }
}

/** Where the course leads without its last choice, and without what was put off to get there. */
export function withoutLast(course: Course): Course {
  const last = course.choices[course.choices.length - 1];
  if (!last) return course;
  return { day: last.made, choices: course.choices.slice(0, -1) };
}
