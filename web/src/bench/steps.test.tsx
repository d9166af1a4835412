import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import type { Evaluation, Plan } from '../api/client';
import { figure, opened } from '../plan/openedPlan';
import { operationOf } from '../plan/edit';
import { choose } from '../ui/choosing';
import { AimsStep } from './AimsStep';
import { EndStep } from './EndStep';
import { FeedStep } from './FeedStep';
import { PlantStep } from './PlantStep';
import { SowStep } from './SowStep';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** Whatever is asked of the server is answered with this. */
const answering = (body: unknown) =>
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } }),
    ),
  );

const type = (label: string, text: string) => {
  const box = screen.getByLabelText(label);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const cover = (plan: Plan) => plan.covers[0]!;
const without = (kind: string) => (p: Plan) => ({
  ...p,
  operations: p.operations.filter((o) => o.kind !== kind),
});

describe('the step Aims', () => {
  test('ranks what is chosen, moves it and takes it out', () => {
    const bench = opened(<AimsStep />);
    expect(screen.getByText('none chosen yet')).toBeTruthy();
    press('+ Mulch to plant through');
    press('+ Fix nitrogen');
    expect(cover(bench.plan()).aims).toEqual(['mulch', 'fix-nitrogen']);
    press('Fix nitrogen up');
    expect(cover(bench.plan()).aims).toEqual(['fix-nitrogen', 'mulch']);
    expect(screen.getByRole('button', { name: 'Fix nitrogen up' }).hasAttribute('disabled')).toBe(
      true,
    );
    press('Remove Mulch to plant through');
    press('Remove Fix nitrogen');
    expect(cover(bench.plan()).aims).toBeUndefined();
  });

  test('without a window nothing is asked, and it says what is missing', () => {
    opened(<AimsStep />, {
      plan: (p) => ({ ...p, covers: [] }),
      evaluation: (e) => ({ ...e, windows: [] }),
    });
    expect(screen.getByText(/A cover needs a window/)).toBeTruthy();
    expect(screen.queryByRole('list', { name: 'Ranked aims' })).toBeNull();
  });
});

describe('the step End', () => {
  test('day and way are kept, the way only once there is a day', () => {
    const bench = opened(<EndStep />, { plan: without('end') });
    expect(screen.getByText(/enter the day first/)).toBeTruthy();
    expect(screen.getByLabelText('How').hasAttribute('disabled')).toBe(true);
    type('Cover ended', '20 Apr 2027');
    choose('How', 'Burndown herbicide');
    const end = operationOf(bench.plan(), 'end', 'v1');
    expect(end?.when.on).toBe('2027-04-20');
    expect(end?.passes.map((p) => p.method)).toEqual(['burndown']);
  });

  test('a second pass is offered, counted in days, and taken out again', () => {
    const bench = opened(<EndStep />);
    press('Second pass');
    expect(operationOf(bench.plan(), 'end', 'v1')?.passes).toHaveLength(2);
    type('After', '10');
    choose('Then', 'Burndown herbicide');
    expect(operationOf(bench.plan(), 'end', 'v1')?.passes[1]).toMatchObject({
      method: 'burndown',
      afterDays: 10,
    });
    choose('Then', 'no second pass');
    expect(operationOf(bench.plan(), 'end', 'v1')?.passes).toHaveLength(1);
  });

  const grown = (e: Evaluation): Evaluation => ({
    ...e,
    grow: {
      ...e.grow,
      covers: {
        v1: {
          mass: figure('grow/v1/mass', 4.126, 't/ha', { low: '3', high: '5' }),
          carbonToNitrogen: figure('grow/v1/cn', 24, ''),
          nitrogenPercent: figure('grow/v1/nitrogenPercent', 1.834, '%'),
          nitrogen: figure('grow/v1/nitrogen', 76, 'kg/ha'),
          residueCover: figure('grow/v1/residueCover', 88, '%'),
        },
      },
    },
  });

  test('what is simulated is shown with its band and can be expected', () => {
    const bench = opened(<EndStep />, { evaluation: grown });
    const simulated = screen.getByRole('region', { name: 'Simulated to that day' });
    expect(simulated.textContent).toContain('3 … 5');
    expect(simulated.textContent).toContain('Their C:N');
    press('Expect what is simulated');
    expect(cover(bench.plan()).stand).toMatchObject({
      evidence: 'expected',
      biomass: { value: 4.13, unit: 't/ha' },
      nitrogenPercent: 1.83,
    });
  });

  test('nothing simulated shows no empty table', () => {
    opened(<EndStep />);
    expect(screen.queryByRole('region', { name: 'Simulated to that day' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Expect what is simulated' })).toBeNull();
  });

  test('a figure opens its working, and one that is not there is a dash', () => {
    const bench = opened(<EndStep />);
    press(/14 d/);
    expect(bench.openWorking).toHaveBeenCalledWith('end/v1/daysBeforePlanting');
    const biomass = screen.getByText('Biomass above ground, dry').closest('tr')!;
    expect(biomass.textContent).toContain('–');
  });

  test('what is wrong stands at its field', () => {
    opened(<EndStep />, {
      problems: [{ pointer: '/covers/0/stand/biomass', message: 'from 0 to 30 t/ha' }],
    });
    expect(screen.getByRole('alert').textContent).toBe('from 0 to 30 t/ha');
  });

  test('weighed asks for cuts instead of a guess', () => {
    const bench = opened(<EndStep />);
    expect(screen.getByLabelText('Biomass, dry')).toBeTruthy();
    choose('Evidence', 'weighed with a quadrat');
    expect(cover(bench.plan()).stand?.evidence).toBe('weighed');
    expect(screen.queryByLabelText('Biomass, dry')).toBeNull();
    expect(screen.getByLabelText('Area of the frame')).toBeTruthy();
  });
});

describe('the step Sow', () => {
  test('day, way and factors are kept', () => {
    const bench = opened(<SowStep />);
    type('Cover sown', '1 Sep 2026');
    type('Lateness ×', '1.1');
    const sow = operationOf(bench.plan(), 'sow', 'v1');
    expect(sow?.when.on).toBe('2026-09-01');
    expect(sow?.lateness).toBe(1.1);
  });

  test('a late sowing offers its factor, and taking it takes the offer away', async () => {
    answering({
      species: [
        {
          species: 'cereal-rye',
          name: 'Cereal rye',
          mostYears: '2026-10-12',
          years: 29,
          figureId: 'f',
        },
        { species: 'hairy-vetch', name: 'Hairy vetch', years: 4 },
      ],
      lateness: figure('sow/v1/lateness', 1.237, ''),
    });
    const bench = opened(<SowStep />);
    expect(screen.getByText('working out how late it may be sown')).toBeTruthy();
    await screen.findByRole('button', { name: 'use it' });
    press('12 Oct 2026');
    expect(bench.openWorking).toHaveBeenCalledWith('f');
    expect(screen.getByText(/hairy vetch/).textContent).toContain('in 4 years at best');
    press('use it');
    expect(operationOf(bench.plan(), 'sow', 'v1')?.lateness).toBe(1.24);
    expect(screen.queryByRole('button', { name: 'use it' })).toBeNull();
  });

  test('boxes say what goes in, and ask for a size they do not know', () => {
    opened(<SowStep />);
    const box = screen.getByText('Large box', { selector: 'td' }).closest('tr')!;
    expect(box.textContent).toContain('Hairy vetch, Cereal rye');
    expect(box.textContent).toContain('type its size');
    expect(within(box).getByRole('button', { name: /1650 g/ })).toBeTruthy();
    expect(screen.getByText('vetch group')).toBeTruthy();
  });

  test('without a day the factors wait', () => {
    opened(<SowStep />, { plan: without('sow') });
    expect(screen.getByLabelText('Lateness ×').hasAttribute('disabled')).toBe(true);
    expect(screen.getByText(/Date the sowing first/)).toBeTruthy();
  });
});

describe('the step Plant', () => {
  test('passes stand with their rating; one of the plan can be moved and removed', () => {
    const bench = opened(<PlantStep />, {
      plan: (p) => ({
        ...p,
        operations: [
          ...p.operations,
          { id: 'o9', kind: 'pass', tool: 'tandem-disc', when: { on: '2027-05-01' } },
        ],
      }),
      evaluation: (e) => ({
        ...e,
        crops: e.crops.map((c) =>
          c.id === 'c2'
            ? {
                ...c,
                passes: [
                  {
                    ...c.passes[0]!,
                    id: 'o9',
                    date: '2027-05-01',
                    name: 'Tandem disc',
                    planting: false,
                  },
                  ...c.passes,
                ],
              }
            : c,
        ),
      }),
    });
    expect(screen.getAllByRole('button', { name: /2.4 STIR/ }).length).toBeGreaterThan(1);
    type('Day of Tandem disc, 1 May 2027', '3 May 2027');
    expect(bench.plan().operations.find((o) => o.id === 'o9')?.when.on).toBe('2027-05-03');
    press('Remove Tandem disc 1 May 2027');
    expect(bench.plan().operations.some((o) => o.id === 'o9')).toBe(false);
    expect(screen.queryByRole('button', { name: /Remove No-till planter/ })).toBeNull();
  });

  test('a pass is added once tool and day are known', () => {
    const bench = opened(<PlantStep />);
    expect(screen.getByRole('button', { name: 'Add pass' }).hasAttribute('disabled')).toBe(true);
    choose('Another pass', 'Tandem disc');
    type('Day of the pass', '2 May 2027');
    press('Add pass');
    expect(bench.plan().operations.at(-1)).toMatchObject({
      kind: 'pass',
      tool: 'tandem-disc',
      when: { on: '2027-05-02' },
    });
  });

  test('without a crop it says where one is made', () => {
    opened(<PlantStep />, { plan: (p) => ({ ...p, crops: [] }) });
    expect(screen.getByText('No crop yet: step Rotation.')).toBeTruthy();
  });
});

describe('the step Feed', () => {
  const feed = (more: Partial<Evaluation['feed'][string]>) => (e: Evaluation) => ({
    ...e,
    feed: {
      c2: {
        need: figure('feed/c2/need', 180, 'kg/ha', {
          low: '150',
          high: '210',
          lowValue: 150,
          highValue: 210,
        }),
        leftToBuy: figure('feed/c2/leftToBuy', 140, 'kg/ha'),
        ...more,
      },
    },
  });

  test('the ledger runs from need to what is left, credits with their sign', () => {
    opened(<FeedStep />, {
      evaluation: feed({ coverCredit: figure('feed/c2/coverCredit', 40, 'kg/ha') }),
    });
    const lines = screen.getAllByRole('row').map((r) => r.textContent ?? '');
    expect(lines.find((l) => l.startsWith('Need'))).toContain('150 … 210');
    expect(lines.find((l) => l.startsWith('From the cover'))).toContain('−40');
    expect(lines.find((l) => l.startsWith('Left to buy'))).toContain('140');
  });

  test('a tie-up is called so and not taken off', () => {
    opened(<FeedStep />, {
      evaluation: feed({ coverCredit: figure('feed/c2/coverCredit', -20, 'kg/ha') }),
    });
    const line = screen.getByText('Tied up by the cover').closest('tr')!;
    expect(line.textContent).not.toContain('−−');
    expect(line.textContent).toContain('-20');
  });

  test('without a need it says what it waits for', () => {
    opened(<FeedStep />, { plan: (p) => p });
    expect(screen.getByText(/The need follows from the yield goal/)).toBeTruthy();
    cleanup();
    opened(<FeedStep />, {
      plan: (p) => ({
        ...p,
        crops: p.crops.map((c) => ({ ...c, nitrogen: { school: 'local' } })),
      }),
    });
    expect(screen.getByText('Type the recommendation.')).toBeTruthy();
  });

  test('the product is written out only as far as it is known', () => {
    opened(<FeedStep />, {
      plan: (p) => ({ ...p, crops: p.crops.map((c) => ({ ...c, nitrogen: { product: 'urea' } })) }),
      evaluation: feed({
        product: figure('feed/c2/product', 304, 'kg/ha'),
        productForField: figure('feed/c2/productForField', 3650, 'kg'),
      }),
    });
    const line = screen.getByText(/In Urea:/).textContent ?? '';
    expect(line).toContain('for the field');
    expect(line).not.toContain(' at ');
    expect(line).not.toContain(' or ');
  });

  test('what is planned to be fed becomes an operation of the crop, in the units of the farm', () => {
    const bench = opened(<FeedStep />, { us: true, evaluation: feed({}) });
    press('Add an application');
    expect(operationOf(bench.plan(), 'feed', 'c2')).toMatchObject({
      material: { product: 'urea' },
      rate: { value: 50, unit: 'lb/ac' },
      rateOf: 'nitrogen',
    });
    type('Rate', '60');
    expect(operationOf(bench.plan(), 'feed', 'c2')?.rate).toEqual({ value: 60, unit: 'lb/ac' });
    press(/Remove the feeding/);
    expect(operationOf(bench.plan(), 'feed', 'c2')).toBeUndefined();
  });
});
