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

  test('what can be reached stands beside each aim, with what pulls and where to start', async () => {
    const figure = (id: string, text: string) => ({
      id,
      label: 'Nitrogen fixed, Hairy vetch',
      text,
      value: Number(text),
      unit: 'kg/ha',
      origin: 'forecast',
    });
    answering({
      from: '2026-08-15',
      to: '2027-05-05',
      aims: [
        {
          aim: 'fix-nitrogen',
          name: 'Fix nitrogen',
          measure: 'Nitrogen fixed',
          verdict: 'well',
          wanted: '35 kg/ha are noticed, 75 kg/ha counted on',
          by: [
            { species: 'hairy-vetch', name: 'Hairy vetch', gives: figure('mix/v1/aim/a', '110') },
            { species: 'winter-pea', name: 'Winter pea', gives: figure('mix/v1/aim/b', '80') },
          ],
        },
      ],
      pulls: [{ aims: ['mulch'], words: 'A mulch keeps the seedbed cool and moist.' }],
      start: [
        { aim: 'protect-soil', name: 'Protect from erosion', because: 'the field slopes 6 %' },
        { aim: 'fix-nitrogen', name: 'Fix nitrogen', because: 'grain corn needs nitrogen' },
      ],
    });
    const bench = opened(<AimsStep />);
    expect(await screen.findByText('well')).toBeTruthy();
    expect(screen.getByText(/hairy vetch/).textContent).toContain('110');
    expect(screen.getByText(/keeps the seedbed cool/)).toBeTruthy();
    press('+ Mulch to plant through');
    press('Take this order');
    expect(cover(bench.plan()).aims).toEqual(['protect-soil', 'fix-nitrogen', 'mulch']);
    expect(screen.queryByText('An order to start from')).toBeNull();
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

  const stands = {
    biomass: figure('end/v1/biomass', 4126, 'kg/ha', { low: '3000', high: '5000' }),
    nitrogenPercent: figure('end/v1/nitrogenPercent', 1.834, '%'),
    nitrogenInTops: figure('end/v1/nitrogenInTops', 76, 'kg/ha'),
    checks: [],
    gaps: [],
    rules: [],
    tanks: [],
    fallbacks: [],
  };

  test('what is simulated counts until something is typed, and comes back when it is taken out', () => {
    const bench = opened(<EndStep />, {
      evaluation: (e) => ({ ...grown(e), end: { v1: stands } }),
    });
    const table = screen.getByRole('table', { name: 'What stands then' });
    expect(table.textContent).toContain('3000 … 5000');
    expect(table.textContent).toContain('C:N of the tops');
    expect(screen.getByLabelText('Biomass, dry').getAttribute('placeholder')).toBe('4126');
    expect(screen.queryByLabelText('Expected for')).toBeNull();
    type('Biomass, dry', '3800');
    expect(cover(bench.plan()).stand).toEqual({
      evidence: 'expected',
      biomass: { value: 3800, unit: 'kg/ha' },
    });
    type('Expected for', '12 Apr 2027');
    expect(cover(bench.plan()).stand?.on).toBe('2027-04-12');
    choose('Evidence', 'as simulated');
    expect(cover(bench.plan()).stand).toBeUndefined();
  });

  test('what was simulated without it stands beside what is typed', () => {
    opened(<EndStep />, {
      plan: (p) => ({
        ...p,
        covers: p.covers.map((c) => ({
          ...c,
          stand: { evidence: 'expected', nitrogenPercent: 3 },
        })),
      }),
      evaluation: (e) => ({
        ...grown(e),
        end: {
          v1: {
            ...stands,
            forecast: {
              mass: figure('end/v1/forecast/mass', 2100, 'kg/ha', { low: '900', high: '3100' }),
              nitrogenPercent: figure('end/v1/forecast/nitrogenPercent', 1.4, '%'),
            },
          },
        },
      }),
    });
    expect(screen.getByText('simulated without it')).toBeTruthy();
    expect(screen.getByRole('table', { name: 'What stands then' }).textContent).toContain(
      '900 … 3100',
    );
  });

  test('nothing simulated says what is missing', () => {
    opened(<EndStep />);
    expect(screen.queryByRole('table', { name: 'What stands then' })).toBeNull();
    expect(screen.getByText(/Nothing is simulated to stand then/)).toBeTruthy();
  });

  test('a figure opens its working', () => {
    const bench = opened(<EndStep />);
    press(/14 d/);
    expect(bench.openWorking).toHaveBeenCalledWith('end/v1/daysBeforePlanting');
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

  test('the header and the straw that is taken belong to the harvest', () => {
    const bench = opened(<PlantStep />, {
      plan: (p) => ({
        ...p,
        operations: [
          ...p.operations,
          { id: 'h9', kind: 'harvest', subject: 'c2', when: { on: '2027-10-15' } },
        ],
      }),
    });
    const harvest = () =>
      bench.plan().operations.find((o) => o.kind === 'harvest' && o.subject === 'c2');
    type('Stubble height at harvest', '30');
    type('Straw taken, % of what lies behind the header', '120');
    expect(screen.getByText('at most 100')).toBeTruthy();
    type('Straw taken, % of what lies behind the header', '80');
    expect(harvest()).toMatchObject({ stubble: { value: 30, unit: 'cm' }, strawTakenPercent: 80 });
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
  const line = (kind: string, label: string, kgHa: number, leftOut?: string) => ({
    kind,
    label,
    amount: figure(`feed/c2/${kind}`, kgHa, 'kg/ha'),
    sure: 'by rule',
    says: 'as usual',
    leftOut,
  });
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
        assumed: [],
        schools: [
          { id: 'yield-goal', name: 'Yield goal and factor', lacks: '', chosen: true },
          { id: 'local', name: 'Local recommendation', lacks: 'the recommendation', chosen: false },
        ],
        lines: [],
        coverSchools: [],
        nutrients: [],
        tests: [],
        ...more,
      },
    },
  });

  test('the ledger runs from need to what is left, credits with their sign', () => {
    opened(<FeedStep />, {
      evaluation: feed({
        lines: [
          line(
            'previous-crop',
            'From the crop before',
            45,
            'the local recommendation has it inside',
          ),
          line('cover', 'From the cover', 40),
        ],
      }),
    });
    const lines = screen.getAllByRole('row').map((r) => r.textContent ?? '');
    expect(lines.find((l) => l.startsWith('Need'))).toContain('150 … 210');
    expect(lines.find((l) => l.startsWith('From the cover'))).toContain('−40');
    expect(lines.find((l) => l.startsWith('Left to buy'))).toContain('140');
    expect(screen.getByRole('region', { name: 'Not counted' }).textContent).toMatch(
      /From the crop before, 45.*the local recommendation has it inside/,
    );
    expect(screen.getByRole('list', { name: 'Need by each school' }).textContent).toContain(
      'Local recommendation: wants the recommendation',
    );
  });

  test('P, K and S stand by balance, with the plan until here', () => {
    const f = (id: string, v: number) => figure(`feed/c2/k2o/${id}`, v, 'kg/ha');
    opened(<FeedStep />, {
      evaluation: feed({
        nutrients: [
          {
            symbol: 'K2O',
            removed: f('removed', 56),
            fed: f('fed', 0),
            balance: f('balance', -56),
            running: f('running', -90),
          },
        ],
      }),
    });
    const table = screen.getByRole('region', { name: 'Nutrient balance' });
    expect(within(table).getByRole('row', { name: /^K2O/ }).textContent).toMatch(/56.*0.*-56.*-90/);
    expect(screen.getByText(/No soil test with P or K is entered/)).toBeTruthy();
  });

  test('what law allows is typed', () => {
    const bench = opened(<FeedStep />, { evaluation: feed({}) });
    fireEvent.change(screen.getByLabelText('Legal maximum of all nitrogen'), {
      target: { value: '170' },
    });
    fireEvent.blur(screen.getByLabelText('Legal maximum of all nitrogen'));
    expect(bench.plan().crops.find((c) => c.id === 'c2')?.nitrogen?.ceiling).toMatchObject({
      value: 170,
    });
  });

  test('tests stand with their days, and what is bought by the yield', () => {
    opened(<FeedStep />, {
      evaluation: feed({
        boughtForYield: figure('feed/c2/boughtForYield', 0.86, 'lb/bu'),
        tests: [
          {
            id: 'side-dress',
            what: 'Nitrate before side-dressing',
            from: '2027-06-08',
            to: '2027-06-19',
            says: 'At 25 mg/kg it wants no more.',
            done: true,
          },
        ],
      }),
    });
    const tests = within(screen.getByRole('region', { name: 'Tests to take' }));
    expect(tests.getByRole('listitem').textContent).toMatch(
      /side-dressing, 8 Jun 2027 to 19 Jun 2027: entered, and counted above/,
    );
    expect(screen.getByText(/Bought for the yield goal/).textContent).toContain('0.86');
  });

  test('supply against uptake is told by the week, with where it runs short', () => {
    const week = (n: number, shortYears: number) => ({
      week: n,
      on: `2028-06-0${n}`,
      uptakeLow: 1,
      uptake: 9 * n,
      uptakeHigh: 30,
      freeLow: 5,
      free: 40,
      freeHigh: 80,
      held: 22,
      fed: n === 2 ? 60 : 0,
      shortYears,
    });
    opened(<FeedStep />, {
      evaluation: feed({
        supply: {
          unit: 'kg/ha',
          years: 30,
          before: 31,
          beforeLow: 20,
          beforeHigh: 44,
          weeks: [week(1, 0), week(2, 12)],
          says: ['It runs short from about week 2 in 12 of 30 years.'],
        },
      }),
    });
    const rows = within(screen.getByRole('region', { name: 'Supply by week' })).getAllByRole('row');
    expect(rows).toHaveLength(3);
    expect(rows[2]!.textContent).toMatch(/^2.*18 \(1 to 30\)40 \(5 to 80\)2260.*12 of 30 years$/);
    expect(screen.getByText(/runs short from about week 2/)).toBeTruthy();
  });

  test('each school, the stand before and the reference are entered', () => {
    const bench = opened(<FeedStep />, { evaluation: feed({ cropBefore: 'alfalfa' }) });
    const nitrogen = () => bench.plan().crops.find((c) => c.id === 'c2')?.nitrogen;
    choose('Legume stand before it', 'fair');
    const type = (label: string, text: string) => {
      fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
      fireEvent.blur(screen.getByLabelText(label));
    };
    type('Organic matter the recommendation rests on', '3');
    choose('Need by', 'rates that were tried');
    type('Price of the grain', '180');
    expect(nitrogen()).toMatchObject({
      school: 'optimum',
      standBefore: { stand: 'fair' },
      organicMatterReference: 3,
      response: { grainPrice: { value: 180 } },
    });
    fireEvent.click(screen.getByLabelText('credits of the crop before are inside'));
    expect(nitrogen()?.creditsInside).toBe(false);
  });

  test('a tie-up is called so and added', () => {
    opened(<FeedStep />, {
      evaluation: feed({ lines: [line('cover', 'Tied up by the cover', -20)] }),
    });
    const row = screen.getByText('Tied up by the cover').closest('tr')!;
    expect(row.textContent).toMatch(/\+20/);
    expect(row.textContent).not.toMatch(/[-−]20/);
  });

  test('what the simulation assumes to be fed is said with its days', () => {
    opened(<FeedStep />, {
      evaluation: feed({
        assumed: [
          { on: '2028-05-08', nitrogen: figure('feed/c2/assumed/1', 90, 'kg/ha') },
          { on: '2028-06-12', nitrogen: figure('feed/c2/assumed/2', 90, 'kg/ha') },
        ],
      }),
    });
    const said = screen.getByRole('region', { name: 'Planned to be fed' }).textContent;
    expect(said).toMatch(
      /the simulation assumes 90\s?kg\/ha on 8 May 2028 and 90\s?kg\/ha on 12 June? 2028/,
    );
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
