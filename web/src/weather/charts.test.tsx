import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';

import { MonthChart } from './charts';

const month = (low: number, middle: number, high: number) => ({
  low,
  middle,
  high,
  text: String(middle),
});
const year = Array.from({ length: 12 }, (_, m) => month(m - 12, m * 3, 10 + m * 4));

describe('twelve months', () => {
  afterEach(cleanup);

  test('an axis has round marks within what is shown', () => {
    const { container } = render(
      <MonthChart
        title="Temperature"
        unit="°C"
        width={400}
        series={[{ name: 'night', values: year, ink: 'navy', as: 'band' }]}
      />,
    );
    const marks = [...container.querySelectorAll('text[text-anchor=end]')].map((t) =>
      Number(t.textContent),
    );
    expect(marks).toEqual([0, 20, 40]);
  });

  test('a band is a closed area round its middle, and a second one is dashed', () => {
    const { container } = render(
      <MonthChart
        title="Temperature"
        unit="°C"
        width={400}
        series={[
          { name: 'night', values: year, ink: 'navy', as: 'band' },
          {
            name: 'day',
            values: year.map((m) => month(m.low + 8, m.middle + 8, m.high + 8)),
            ink: 'red',
            as: 'band',
          },
        ]}
      />,
    );
    const d = [...container.querySelectorAll('figure > svg path')].map(
      (p) => p.getAttribute('d') ?? '',
    );
    expect(d.filter((x) => x.endsWith('Z'))).toHaveLength(2);
    expect(d.every((x) => x.startsWith('M') && !x.includes('NaN'))).toBe(true);
    expect(container.querySelectorAll('figure > svg [stroke-dasharray]')).toHaveLength(1);
  });

  test('bars stand from zero, and everything is said in words too', () => {
    const rain = Array.from({ length: 12 }, (_, m) => month(10, 40 + m, 90));
    const { container } = render(
      <MonthChart
        title="Rain"
        unit="mm"
        width={400}
        series={[{ name: 'rain', values: rain, ink: 'teal', as: 'bars' }]}
      />,
    );
    const bars = [...container.querySelectorAll('figure > svg rect')];
    const foot = bars.map((b) => Number(b.getAttribute('y')) + Number(b.getAttribute('height')));
    expect(new Set(foot.map((v) => v.toFixed(6))).size).toBe(1);
    expect(Number(bars[11]!.getAttribute('height'))).toBeGreaterThan(
      Number(bars[0]!.getAttribute('height')),
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('1. 40');
  });
});
