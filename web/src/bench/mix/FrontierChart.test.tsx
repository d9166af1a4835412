import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import type { MixView } from './asked';
import { FrontierChart } from './FrontierChart';

const mix = (cost: number, score: number, species: number) =>
  ({
    cost,
    score,
    costText: String(cost),
    costUnit: 'USD/ac',
    shares: Array.from({ length: species }, (_, i) => ({ species: `s${i}` })),
  }) as unknown as MixView;

describe('cost against the aims', () => {
  afterEach(cleanup);

  test('axes begin at nothing and carry round steps', () => {
    const { container } = render(
      <FrontierChart
        points={[mix(40, 0.5, 2), mix(110, 0.9, 4)]}
        own={undefined}
        chosen={undefined}
        onChoose={vi.fn()}
      />,
    );
    const costs = [...container.querySelectorAll('svg > text[text-anchor=middle]')].map((t) =>
      Number(t.textContent),
    );
    expect(costs).toEqual([0, 20, 40, 60, 80, 100]);
    expect(container.querySelector('svg > path[fill=none]')?.getAttribute('d')).toMatch(
      /^M[\d.]+,[\d.]+L[\d.]+,[\d.]+$/,
    );
  });

  test('a point is chosen by mouse and by keyboard, and says what it is', () => {
    const points = [mix(40, 0.5, 2), mix(110, 0.9, 4)];
    const chosen = vi.fn();
    render(<FrontierChart points={points} own={undefined} chosen={points[0]} onChoose={chosen} />);
    const second = screen.getByRole('button', { name: '4 species, 110 USD/ac, 90 %' });
    expect(second.getAttribute('aria-pressed')).toBe('false');
    fireEvent.click(second);
    fireEvent.keyDown(second, { key: 'Enter' });
    expect(chosen.mock.calls.map(([m]) => m as MixView)).toEqual([points[1], points[1]]);
  });
});
