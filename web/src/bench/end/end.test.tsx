import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { figure, opened } from '../../plan/openedPlan';
import { operationOf } from '../../plan/edit';
import { serve } from '../../ui/fakeServer';
import type { Dates } from './asked';
import { DateStrips } from './DateStrips';
import { Gaps } from './Gaps';
import { PlanB } from './PlanB';
import { Schools } from './Schools';
import { Spray } from './Spray';

const points = (values: number[]) =>
  values.map((v, i) => ({
    on: `2027-04-${String(10 + i * 5).padStart(2, '0')}`,
    low: v * 0.8,
    middle: v,
    high: v * 1.2,
    text: v.toFixed(1),
  }));

const DATES: Dates = {
  coverId: 'v1',
  planned: '2027-04-15',
  planting: '2027-04-28',
  crop: 'Grain corn',
  method: 'burndown herbicide',
  coarse: false,
  years: 30,
  from: '2027-04-10',
  to: '2027-04-30',
  rows: [
    {
      id: 'tops',
      group: 'stand',
      name: 'Dry tops',
      unit: 't/ha',
      better: 'more',
      change: 'by',
      decimals: 1,
      points: points([1, 2, 3, 4, 5]),
    },
    {
      id: 'kill-burndown',
      group: 'kill',
      name: 'Killed: burndown herbicide',
      unit: '%',
      better: 'more',
      change: 'to',
      decimals: 0,
      points: points([98, 98, 98, 98, 98]),
      note: 'This field is organic.',
    },
  ],
  blocked: [{ from: '2027-04-19', to: '2027-04-30', stop: true, why: ['zone 2: 15 days'] }],
  favoured: [{ aim: 'mulch', name: 'Mulch', from: '2027-04-25', to: '2027-04-30', why: 'tops' }],
  methodsOn: '2027-04-15',
  methods: [],
  nextDays: [],
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the days of the end', () => {
  test('are told at first for two weeks later, and moved through by keys', () => {
    const take = vi.fn();
    opened(<DateStrips dates={DATES} planned="2027-04-15" onTake={take} />);
    const slider = screen.getByRole('slider', { name: /Day on which/ });
    expect(slider.getAttribute('aria-valuetext')).toBe('29 Apr 2027');
    const told = screen.getByRole('region', { name: 'What changes' });
    expect(told.textContent).toContain('+3.0 t/ha dry tops');
    expect(screen.getByText(/zone 2: 15 days/)).toBeDefined();
    fireEvent.keyDown(slider, { key: 'Home' });
    expect(slider.getAttribute('aria-valuetext')).toBe('10 Apr 2027');
    expect(screen.queryByText(/zone 2: 15 days/)).toBeNull();
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    fireEvent.keyDown(slider, { key: 'Enter' });
    expect(take).toHaveBeenCalledWith('2027-04-11');
  });

  test('say of a way that this field may not', () => {
    opened(<DateStrips dates={DATES} planned="2027-04-15" onTake={vi.fn()} />);
    expect(screen.getByText(/the same on every day/).textContent).toContain(
      'burndown herbicide 98.0%',
    );
    expect(screen.getByText(/the same on every day/).textContent).toContain('organic');
  });
});

describe('plan B', () => {
  const fallback = {
    id: 'not-killed',
    when: 'the kill fails',
    look: '2027-05-05',
    by: '2027-05-15',
    then: 'A second spray.',
    method: 'burndown',
    cost: '17 to 27 USD/ha',
    planned: false,
  };
  const none = { checks: [], gaps: [], rules: [], tanks: [] };

  test('is taken into the plan with its day', () => {
    const { plan } = opened(<PlanBOf />, {
      evaluation: (e) => ({ ...e, end: { v1: { ...none, fallbacks: [fallback] } } }),
    });
    fireEvent.click(screen.getByRole('button', { name: 'Take into the plan: the kill fails' }));
    expect(plan().covers[0]?.fallbacks).toMatchObject([
      { if: 'not-killed', by: '2027-05-15', passes: [{ method: 'burndown' }] },
    ]);
  });

  test('that comes too late says so and cannot be taken', () => {
    opened(<PlanBOf />, {
      evaluation: (e) => ({
        ...e,
        end: { v1: { ...none, fallbacks: [{ ...fallback, by: undefined, method: undefined }] } },
      }),
    });
    expect(screen.getByText('too late to mend after it')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

function PlanBOf() {
  return <PlanB cover={{ id: 'v1', place: { relation: 'before', cropId: 'c2' } }} />;
}

describe('intervals and rules', () => {
  test('stand with whether they hold', () => {
    opened(<Gaps coverId="v1" />, {
      evaluation: (e) => ({
        ...e,
        end: {
          v1: {
            checks: [],
            tanks: [],
            fallbacks: [],
            rules: [
              {
                id: 'zone',
                says: 'zone 2',
                holds: false,
                found: 'it ends 9 days before',
                decides: 'the agent',
              },
            ],
            gaps: [
              {
                from: 'burndown herbicide',
                fromOn: '2027-04-20',
                to: 'planting of corn',
                toOn: '2027-05-01',
                wanted: '10 days or more',
                days: 11,
                holds: true,
                why: 'seedling diseases',
                ofLabel: false,
              },
            ],
          },
        },
      }),
    });
    const list = screen.getByRole('region', { name: 'Intervals and rules' });
    expect(list.textContent).toContain('does not hold: zone 2');
    expect(list.textContent).toContain('✓ holds: burndown herbicide');
  });
});

describe('the spray', () => {
  test('is typed from the label and its tanks are shown', () => {
    const { plan } = opened(<Spray coverId="v1" />, {
      plan: (p) => ({
        ...p,
        operations: p.operations.map((o) =>
          o.kind === 'end' ? { ...o, passes: [{ id: 'e1', method: 'burndown' }] } : o,
        ),
      }),
      evaluation: (e) => ({
        ...e,
        end: {
          v1: {
            checks: [],
            gaps: [],
            rules: [],
            fallbacks: [],
            tanks: [
              { passId: 'e1', treated: figure('t', 20, 'ha'), product: figure('p', 50, 'L') },
            ],
          },
        },
      }),
    });
    const rate = screen.getByLabelText('Rate, from the label');
    fireEvent.change(rate, { target: { value: '2.5' } });
    fireEvent.blur(rate);
    const end = operationOf(plan(), 'end', 'v1');
    expect(end?.passes[0]?.spray).toEqual({ rate: { value: 2.5, unit: 'L/ha' } });
    expect(screen.getByRole('region', { name: 'Spray and tank' }).textContent).toContain(
      'Product for the field50',
    );
  });

  test('is not asked of a way that does not spray', () => {
    opened(<Spray coverId="v1" />);
    expect(screen.queryByRole('region', { name: 'Spray and tank' })).toBeNull();
  });
});

describe('schools', () => {
  test('are asked for when opened, and one is taken with its day and passes', async () => {
    serve({
      'POST /api/covers/end-schools': {
        columns: ['Dry tops'],
        costNote: 'Library rates.',
        schools: [
          {
            id: 'sprayed-rolled-planted',
            name: 'Sprayed, a day later rolled, then planted',
            on: '2027-05-07',
            passes: [
              { method: 'burndown', afterDays: 0 },
              { method: 'roller-crimper', afterDays: 1 },
            ],
            words: 'Burndown herbicide, Roller-crimper after 1 day',
            figures: [figure('f', 4, 't/ha')],
            cost: '42 to 77',
            needs: [{ text: 'a roller-crimper', met: false }, { text: 'growing plants' }],
            against: ['Too late.'],
            forbidden: true,
            planned: false,
            fallback: false,
          },
        ],
      },
    });
    const take = vi.fn();
    opened(<Schools coverId="v1" onTake={take} />);
    const details = screen.getByText(/Schools side by side/).closest('details')!;
    details.open = true;
    fireEvent(details, new Event('toggle'));
    const table = await screen.findByRole('region', { name: 'Schools of ending' });
    expect(table.textContent).toContain('a roller-crimper: not met');
    expect(table.textContent).toContain('growing plants: look');
    expect(table.textContent).toContain('stop: Too late.');
    fireEvent.click(within(table).getByRole('button', { name: /End it so/ }));
    expect(take).toHaveBeenCalledWith('2027-05-07', [
      { method: 'burndown', afterDays: 0 },
      { method: 'roller-crimper', afterDays: 1 },
    ]);
  });
});
