import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';

import { opened } from '../plan/openedPlan';
import { choose } from '../ui/choosing';
import { GrowStep } from './GrowStep';

afterEach(cleanup);

describe('the step Grow', () => {
  const checked = (
    p: Parameters<NonNullable<Parameters<typeof opened>[1]>['plan'] & object>[0],
  ) => ({
    ...p,
    covers: p.covers.map((c) => ({ ...c, checks: [{ id: 'k1', on: '2026-09-20' }] })),
  });

  test('a check says its verdict, its causes and the next date; clocks tell of bloom and seed', () => {
    const { plan } = opened(<GrowStep />, {
      plan: checked,
      evaluation: (e) => ({
        ...e,
        grow: {
          ...e.grow,
          steps: {
            v1: {
              verdicts: {
                k1: [
                  {
                    about: 'stand',
                    word: 'failed',
                    said: '30 /m² plants, 25 % of what should come up.',
                    causes: ['slugs: lay traps', 'too dry since sowing'],
                    next: '2026-09-30',
                    toDo: 'decide whether to sow again',
                  },
                ],
              },
              grazings: [],
              stockCautions: [],
              uses: [],
              quality: [],
              clocks: [
                {
                  species: 'cereal-rye',
                  name: 'Cereal rye',
                  blooms: { early: '2027-05-10', middle: '2027-05-16', late: '2027-05-22' },
                  bloomYears: 22,
                  seedYears: 0,
                  years: 30,
                  insectDays: 0,
                  insectDaysClipped: 0,
                },
              ],
            },
          },
        },
      }),
    });
    const verdicts = screen.getByRole('list', { name: 'Verdicts' });
    expect(verdicts.textContent).toMatch(
      /Stand: failed\..*By 30 Sept?.*decide whether to sow again/,
    );
    expect(
      within(verdicts)
        .getAllByRole('listitem')
        .filter((li) => li.parentElement?.tagName === 'OL')
        .map((li) => li.textContent),
    ).toEqual(['slugs: lay traps', 'too dry since sowing']);
    const clock = within(screen.getByRole('region', { name: 'Bloom and seed' }));
    expect(clock.getByText(/22 of 30 years/)).toBeTruthy();
    expect(clock.getByText('not before its end')).toBeTruthy();
    choose('Where plants are missing', 'bent shoots below');
    const tillers = screen.getByLabelText('Tillers or shoots');
    fireEvent.change(tillers, { target: { value: '350' } });
    fireEvent.blur(tillers);
    expect(plan().covers[0]!.checks![0]).toMatchObject({
      evidence: 'bent-shoots',
      tillers: { value: 350, unit: '/m2' },
    });
  });
});
