import { describe, expect, test } from 'vitest';

import { flagsOf, twoLines } from './flags';
import type { Note } from './model';
import { captionAt } from './labels';
import { covered, markerRow, pinsOf } from './pins';
import { addDays, spokenDate } from '../ui/days';
import { months, timeScale } from './scale';

const note = (at: string | undefined, weight: Note['weight'], text = 'A text of some length') =>
  ({ rule: `rule ${at} ${weight}`, subject: 's', at, weight, text }) as Note;
const scale = timeScale('2026-01-01', '2027-12-31', 52, 1246);

describe('flags', () => {
  test('notes without a day are left to the margin', () => {
    expect(flagsOf([note(undefined, 'stop')], scale)).toEqual([]);
    expect(flagsOf([note('2031-01-01', 'stop')], scale)).toEqual([]);
  });

  test('notes of one place share a pole, and the heaviest has the word', () => {
    const flags = flagsOf([note('2026-06-01', 'tip'), note('2026-06-03', 'stop')], scale);
    expect(flags).toHaveLength(1);
    expect(flags[0]?.weight).toBe('stop');
    expect(flags[0]?.notes).toHaveLength(2);
  });

  test('an answered note gives way to an open one', () => {
    const answered = {
      ...note('2026-06-01', 'stop'),
      answer: {
        rule: 'r',
        subject: 's',
        factsHash: 'h',
        decision: 'accepted',
        reason: 'pan first',
      },
    } as Note;
    expect(flagsOf([answered, note('2026-06-01', 'tip')], scale)[0]?.weight).toBe('tip');
    expect(flagsOf([answered], scale)[0]?.lines.join(' ')).toBe('accepted: pan first');
  });

  test('words never lie over the words of another flag', () => {
    for (const gap of [20, 40, 70, 100, 160]) {
      const days = [0, gap, 2 * gap, 3 * gap].map((d) => addDays('2026-03-01', d));
      const flags = flagsOf(
        days.map((d) => note(d, 'think', 'A taproot above shallow drains can plug them in time')),
        scale,
      );
      const spans = flags
        .filter((f) => f.lines.length > 0)
        .map((f) => {
          const w = Math.max(...f.lines.map((l) => l.length)) * 5.7 + 12;
          return f.left ? [f.x - w, f.x] : [f.x, f.x + w];
        })
        .sort((a, b) => a[0]! - b[0]!);
      spans.slice(1).forEach((s, i) => expect(s[0]!).toBeGreaterThanOrEqual(spans[i]![1]! - 0.5));
    }
  });

  test('a long text is cut to two lines with an ellipsis', () => {
    const lines = twoLines('one two three four five six seven eight nine ten eleven twelve', 20);
    expect(lines).toHaveLength(2);
    expect(lines.every((l) => l.length <= 20)).toBe(true);
    expect(lines[1]).toMatch(/…$/);
    expect(twoLines('short')).toEqual(['short']);
  });
});

describe('pins', () => {
  const pin = (id: string, date: string) => ({
    operationId: id,
    kind: 'sow',
    subject: 's',
    cover: true,
    date,
    label: 'Sow',
  });

  test('crowded words go to the second row and then away, pins never', () => {
    const pins = pinsOf(
      [pin('a', '2026-05-01'), pin('b', '2026-05-05'), pin('c', '2026-05-09')],
      '2026-05-05',
      scale,
      {},
      2,
    );
    expect(pins.map((p) => p.row)).toEqual([0, 1, -1]);
    expect(pins.map((p) => p.done)).toEqual([true, true, false]);
  });

  test('words at the edge stand left of their pin and do not overprint those before', () => {
    const pins = pinsOf(
      [pin('a', '2026-11-20'), pin('b', '2026-12-20'), pin('c', '2026-12-28')],
      '2026-05-05',
      timeScale('2026-01-01', '2027-01-01', 0, 300),
      {},
      2,
    );
    expect(pins.map((p) => p.side)).toEqual(['left', 'left', 'left']);
    expect(pins.map((p) => p.row)).toEqual([0, 1, -1]);
  });

  test('words give way to those of a pin in hand that has no room', () => {
    const pins = pinsOf(
      [pin('a', '2026-05-01'), pin('b', '2026-05-05'), pin('c', '2026-05-09')],
      '2026-05-05',
      scale,
      {},
      2,
    );
    expect([...covered(pins, (p) => p.key === 'c')]).toEqual(['a']);
    expect([...covered(pins, (p) => p.key === 'b')]).toEqual([]);
    expect([...covered(pins, () => false)]).toEqual([]);
  });

  test('a pin outside the span shown is left out', () => {
    expect(pinsOf([pin('a', '2025-01-01')], '2026-01-01', scale, {}, 2)).toEqual([]);
  });
});

describe('time', () => {
  test('months stand on their first day and January is the year', () => {
    const ticks = months(timeScale('2026-11-15', '2027-03-10', 0, 800));
    expect(ticks.slice(0, 3).map((t) => t.label)).toEqual(['Dec', '2027', 'Feb']);
    expect(ticks[1]?.year).toBe(true);
  });

  test('a span of no days is still a scale', () => {
    const s = timeScale('2026-05-01', '2026-05-01', 0, 100);
    expect(Number.isFinite(s.x('2026-05-01'))).toBe(true);
  });

  test('days are counted over the turn of a leap year', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2027-12-31', 1)).toBe('2028-01-01');
    expect(spokenDate('2027-05-04')).toBe('4 May 2027');
    expect(spokenDate('2027-05-04', false)).toBe('4 May');
  });
});

describe('words over the section', () => {
  test('the marker of a pin without room for its words stands above those of others', () => {
    expect(markerRow({ row: -1 }, false)).toBe(-1);
    expect(markerRow({ row: -1 }, true)).toBe(0);
    expect(markerRow({ row: 1 }, false)).toBe(1);
  });

  test('what is drawn is said where today is not, else cut short', () => {
    expect(captionAt(500, 50, 1250, 300)).toEqual({ side: 'right', short: false });
    expect(captionAt(500, 50, 1250, 900)).toEqual({ side: 'left', short: false });
    // the width of paper, with today in its middle
    expect(captionAt(500, 50, 950, 500)).toEqual({ side: 'left', short: true });
    expect(captionAt(500, 50, 400, undefined)).toEqual({ side: 'right', short: true });
  });
});
