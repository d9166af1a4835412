import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';

import type { Evaluation, Plan, Schemas } from '../api/client';
import { operationOf } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { opened } from '../plan/openedPlan';
import { choose } from '../ui/choosing';
import { BlendControls } from './BlendControls';
import { CropDate } from './CropDate';
import { Grazings } from './Grazings';
import { Waterings } from './Waterings';
import { TitleRow } from './TitleRow';

afterEach(cleanup);

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, text: string) => {
  const box = screen.getByLabelText(label);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const harvest = (plan: Plan) => operationOf(plan, 'harvest', 'c1')?.when;

describe('the date of a crop', () => {
  function Harvest() {
    return (
      <CropDate crop={useOpenPlan().state.plan.crops[0]!} kind="harvest" name="Winter wheat" />
    );
  }
  const dated: Schemas['DateView'][] = [
    {
      operationId: 'o1',
      on: '2026-07-22',
      early: '2026-07-15',
      late: '2026-07-30',
      how: '1,900 degree days after planting',
    },
  ];

  test('is a day, or is reached by degree days with its band', () => {
    const bench = opened(<Harvest />, { evaluation: (e) => ({ ...e, dates: dated }) });
    expect(screen.getByLabelText<HTMLInputElement>('Winter wheat harvested').value).toBe(
      '20 Jul 2026',
    );
    choose('How Winter wheat is dated, harvested', 'by degree days');
    expect(harvest(bench.plan())).toEqual({ degreeDays: {} });
    expect(screen.getByText('22 Jul 2026')).toBeTruthy();
    expect(screen.getByTitle('1,900 degree days after planting').textContent).toContain('15 Jul');
    type('Winter wheat harvested, degree days after planting', '1800');
    expect(harvest(bench.plan())).toEqual({ degreeDays: { sum: 1800 } });
  });

  test('degree days of a farm in Fahrenheit are kept in Celsius', () => {
    const bench = opened(<Harvest />, { us: true });
    choose('How Winter wheat is dated, harvested', 'by degree days');
    type('Winter wheat harvested, degree days after planting', '1800');
    expect(harvest(bench.plan())?.degreeDays?.sum).toBeCloseTo(1000, 6);
  });

  test('is counted back from another day, and made a plain day again where it fell', () => {
    const bench = opened(<Harvest />, { evaluation: (e) => ({ ...e, dates: dated }) });
    choose('How Winter wheat is dated, harvested', 'back from a date');
    expect(harvest(bench.plan())).toEqual({ countedBack: { from: '2026-07-20' } });
    type('Winter wheat harvested, days before the market date', '12');
    type('Winter wheat, market date', '1 Aug 2026');
    expect(harvest(bench.plan())).toEqual({ countedBack: { from: '2026-08-01', days: 12 } });
    choose('How Winter wheat is dated, harvested', 'on a day');
    expect(harvest(bench.plan())).toEqual({ on: '2026-07-22' });
  });

  test('a crop that is not harvested yet has no way to be dated, only a day to type', () => {
    const bench = opened(<Harvest />, {
      plan: (p) => ({ ...p, operations: p.operations.filter((o) => o.kind !== 'harvest') }),
    });
    expect(screen.queryByLabelText('How Winter wheat is dated, harvested')).toBeNull();
    type('Winter wheat harvested', '25 Jul 2026');
    expect(harvest(bench.plan())).toEqual({ on: '2026-07-25' });
  });
});

describe('how a mix is blended', () => {
  function Controls() {
    const { session, state } = useOpenPlan();
    const cover = state.plan.covers[0]!;
    return (
      <BlendControls
        lots={[]}
        cover={cover}
        mix={cover.mix!}
        change={(edit) =>
          session.change((p) => ({
            ...p,
            covers: [{ ...p.covers[0]!, mix: edit(p.covers[0]!.mix!) }],
          }))
        }
      />
    );
  }
  const mix = (plan: Plan) => plan.covers[0]!.mix!;

  test('species are added under their groups, each once', () => {
    const bench = opened(<Controls />);
    expect(screen.getByRole('button', { name: 'Add species' }).hasAttribute('disabled')).toBe(true);
    choose('Species', 'Phacelia');
    press('Add species');
    expect(mix(bench.plan()).components.map((c) => c.species)).toEqual([
      'cereal-rye',
      'hairy-vetch',
      'phacelia',
    ]);
    fireEvent.keyDown(screen.getByLabelText('Species'), { key: 'Enter' });
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['choose']);
  });

  test('row zones come with widths in the units of the farm, and go with them', () => {
    const bench = opened(<Controls />, { us: true });
    fireEvent.click(screen.getByRole('checkbox'));
    expect(mix(bench.plan()).zones).toEqual({
      rowWidth: { value: 30, unit: 'in' },
      bandWidth: { value: 10, unit: 'in' },
    });
    type('Row zone', '8');
    expect(mix(bench.plan()).zones?.bandWidth).toEqual({ value: 8, unit: 'in' });
    fireEvent.click(screen.getByRole('checkbox'));
    expect(mix(bench.plan()).zones).toBeUndefined();
  });

  test('waste and method are kept; an emptied waste is the usual one again', () => {
    const bench = opened(<Controls />);
    type('Waste', '5');
    choose('Blend by', 'a local recipe');
    expect(mix(bench.plan())).toMatchObject({ wastePercent: 5, method: 'recipe' });
    type('Waste', '');
    expect(mix(bench.plan()).wastePercent).toBeUndefined();
  });

  test('a zone wider than its row is told at the zone', () => {
    opened(<Controls />, {
      plan: (p) => ({
        ...p,
        covers: p.covers.map((c) => ({
          ...c,
          mix: {
            ...c.mix!,
            zones: { rowWidth: { value: 75, unit: 'cm' }, bandWidth: { value: 80, unit: 'cm' } },
          },
        })),
      }),
      problems: [{ pointer: '/covers/0/mix/zones', message: 'the row zone is wider than the row' }],
    });
    expect(screen.getByRole('alert').textContent).toBe('the row zone is wider than the row');
  });
});

describe('stock and water', () => {
  const grown = (e: Evaluation): Evaluation => ({
    ...e,
    grow: {
      ...e.grow,
      steps: {
        v1: {
          clocks: [],
          verdicts: {},
          stockCautions: [
            {
              id: 'vetch-poisoning',
              name: 'Vetch poisoning',
              text: 'Vetch grazed for weeks has killed cattle.',
              animals: ['cattle', 'horses'],
              species: ['Hairy vetch'],
            },
            {
              id: 'oestrogens',
              name: 'Oestrogens',
              text: 'Lower the fertility of ewes.',
              animals: ['sheep'],
              species: ['Red clover'],
            },
          ],
          grazings: [],
          uses: [],
          quality: [],
        },
      },
    },
  });

  test('a first grazing is kept once its cautions are read, changed and removed', () => {
    const bench = opened(<Grazings subject="v1" day="2027-04-14" />, { evaluation: grown });
    press('Graze it');
    expect(screen.queryByRole('checkbox')).toBeNull();
    choose('Stock', 'beef cows');
    const cautions = screen.getByRole('group', { name: 'Cautions for the stock' });
    expect(cautions.textContent).toContain('Vetch poisoning (Hairy vetch)');
    expect(cautions.textContent).not.toContain('Oestrogens');
    expect(operationOf(bench.plan(), 'graze', 'v1')).toBeUndefined();
    fireEvent.click(screen.getByRole('checkbox'));
    expect(operationOf(bench.plan(), 'graze', 'v1')).toMatchObject({
      takePercent: 50,
      when: { on: '2027-04-14' },
      stock: { class: 'beef-cow' },
      heeded: ['vetch-poisoning'],
    });
    type('Of the tops eaten', '30');
    type('Grazed from', '10 Apr 2027');
    type('Last day', '20 Apr 2027');
    type('Head', '40');
    type('Paddocks', '4');
    type('Height to leave', '10');
    expect(operationOf(bench.plan(), 'graze', 'v1')).toMatchObject({
      takePercent: 30,
      when: { on: '2027-04-10' },
      until: '2027-04-20',
      stock: { class: 'beef-cow', head: 40 },
      paddocks: 4,
      residualHeight: { value: 10, unit: 'cm' },
    });
    choose('Stock', 'sheep');
    expect(screen.getByRole('group', { name: 'Cautions for the stock' }).textContent).toContain(
      'Oestrogens',
    );
    fireEvent.click(screen.getByRole('checkbox'));
    expect(operationOf(bench.plan(), 'graze', 'v1')?.heeded).toEqual([
      'vetch-poisoning',
      'oestrogens',
    ]);
    press(/remove/i);
    expect(operationOf(bench.plan(), 'graze', 'v1')).toBeUndefined();
  });

  test('water begins in the units of the farm', () => {
    const bench = opened(<Waterings subject="c2" day="2027-07-01" />, { us: true });
    press('Irrigate');
    expect(operationOf(bench.plan(), 'irrigate', 'c2')?.depth).toEqual({ value: 1, unit: 'in' });
  });
});

describe('the title', () => {
  test('names field, farm and area, and the groups with their marks', () => {
    opened(<TitleRow />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Upper Bank');
    expect(screen.getByText(/, 12 ha/)).toBeTruthy();
    const groups = screen.getByRole('list', { name: 'Functional groups' });
    expect(within(groups).getAllByRole('listitem')).toHaveLength(6);
  });
});
