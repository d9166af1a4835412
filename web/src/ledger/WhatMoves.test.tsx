import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { figure, opened } from '../plan/openedPlan';
import { refusal, serve } from '../ui/fakeServer';
import { WhatMoves } from './WhatMoves';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const move = (input: string, low: number, high: number) => ({
  input,
  from: 'less',
  to: 'more',
  low,
  high,
  lowText: `${low} t/ha`,
  highText: `${high} t/ha`,
});
const view = {
  figure: figure('grow/v1/mass', 5, 't/ha'),
  confidence: 'medium',
  because: 'the weather moves it most',
  moves: [move('Rain', 4, 6), move('Seed rate', 4.8, 5.1), move('Nitrogen at the start', 5, 5)],
  source: 'each input moved by itself',
};
const ask = () => fireEvent.click(screen.getByRole('button', { name: 'What moves it most' }));

describe('what moves a figure', () => {
  test('is worked out when asked for, strongest first, and names what does not move it', async () => {
    const called = serve({ 'POST /api/sensitivities': view });
    opened(<WhatMoves figureId="grow/v1/mass" />);
    expect(called.some((c) => c.what === 'POST /api/sensitivities')).toBe(false);
    ask();
    const table = await screen.findByRole('table');
    expect(
      within(table)
        .getAllByRole('row')
        .map((r) => r.textContent),
    ).toEqual([
      'input○ then● then',
      'Rainless 4 t/hamore 6 t/ha',
      'Seed rateless 4.8 t/hamore 5.1 t/ha',
    ]);
    expect(screen.getByText('It does not hang on Nitrogen at the start.')).toBeTruthy();
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain(
      'Rain: less gives 4 t/ha, more gives 6 t/ha',
    );
    expect(screen.getByText('medium')).toBeTruthy();
  });

  test('is not offered for a figure that is not simulated', () => {
    serve({});
    opened(<WhatMoves figureId="mix/v1/bulk" />);
    expect(screen.queryByRole('button')).toBeNull();
  });

  test('that it cannot be worked out is told', async () => {
    serve({ 'POST /api/sensitivities': refusal(503, 'Busy; ask again in a moment.') });
    opened(<WhatMoves figureId="grow/v1/mass" />);
    ask();
    expect((await screen.findByRole('alert')).textContent).toContain('Busy; ask again');
  });
});
