import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';

import type { Plan } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { operationOf } from '../../plan/edit';
import { figure, opened } from '../../plan/openedPlan';
import { choose } from '../../ui/choosing';
import { serve } from '../../ui/fakeServer';
import { Inoculants } from './Inoculants';
import { SeedbedFields } from './SeedbedFields';
import { SownAs } from './SownAs';
import { Ways } from './Ways';

afterEach(cleanup);

const sowOf = (p: Plan) => operationOf(p, 'sow', 'v1')!;

const type = (label: string, text: string) => {
  const box = screen.getByLabelText(label);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};

describe('a seedbed', () => {
  function Seedbed() {
    const { state } = useOpenPlan();
    return (
      <SeedbedFields
        coverId="v1"
        sow={sowOf(state.plan)}
        at="/operations/1"
        verdict={{
          act: 'flush',
          flushes: ['2026-08-11', '2026-08-21'],
          reasons: ['40 /m² weed seedlings: kill them shallowly.'],
        }}
      />
    );
  }

  test('is entered as it was seen, and its verdict says what to do when', () => {
    const { plan } = opened(<Seedbed />);
    type('A heel sinks', '3');
    type('Weed seedlings', '40');
    choose('Level', 'ruts or waves');
    expect(sowOf(plan()).seedbedCheck).toMatchObject({
      heelSinks: { value: 3, unit: 'cm' },
      weeds: { value: 40, unit: '/m2' },
      level: false,
    });
    const said = screen.getByRole('status');
    expect(said.textContent).toMatch(/Flush the weeds first: 11 Aug.*21 Aug/);
    fireEvent.click(screen.getByRole('button', { name: 'remove the look' }));
    expect(sowOf(plan()).seedbedCheck).toBeUndefined();
  });
});

describe('what of the field is sown', () => {
  function Area() {
    const { state } = useOpenPlan();
    return <SownAs coverId="v1" sow={sowOf(state.plan)} at="/operations/1" area={undefined} />;
  }

  test('tree basins, strips or open rows', () => {
    const { plan } = opened(<Area />);
    choose('What is sown', 'tree basins');
    type('Radius of a basin', '1.5');
    type('Basins', '400');
    expect(sowOf(plan()).sownAs).toEqual({ basins: 400, basinRadius: { value: 1.5, unit: 'm' } });
    choose('What is sown', 'open drill rows');
    type('Rows blocked', '2');
    expect(sowOf(plan()).sownAs).toEqual({ rowsSown: 2, rowsBlocked: 2 });
    choose('What is sown', 'the whole area');
    expect(sowOf(plan()).sownAs).toBeUndefined();
  });
});

describe('the inoculant', () => {
  function Groups() {
    const { state } = useOpenPlan();
    return (
      <Inoculants
        coverId="v1"
        sow={sowOf(state.plan)}
        at="/operations/1"
        seen={
          {
            inoculants: [
              {
                group: 'pea and vetch',
                species: ['Hairy vetch'],
                amount: figure('mix/v1/inoculant/pea and vetch', 900, 'g'),
                grown: 'field pea in 2024',
              },
            ],
          } as never
        }
      />
    );
  }

  test('is answered for each group, with what the field grew of it', () => {
    const { plan } = opened(<Groups />);
    expect(screen.getByText(/The field grew field pea in 2024/)).toBeTruthy();
    choose('Inoculate, pea and vetch', 'mixed in on the day');
    type('Dose on seed, pea and vetch', '8');
    expect(sowOf(plan()).inoculants).toEqual([
      { group: 'pea and vetch', dose: { value: 8, unit: 'g/kg' } },
    ]);
    choose('Inoculate, pea and vetch', 'left out on purpose');
    expect(sowOf(plan()).inoculants?.[0]).toMatchObject({ notNeeded: true });
    choose('Inoculate, pea and vetch', 'not answered');
    expect(sowOf(plan()).inoculants).toBeUndefined();
    fireEvent.click(screen.getByRole('checkbox', { name: /soaked/ }));
    expect(sowOf(plan()).soaked).toBe(true);
  });
});

describe('ways of sowing', () => {
  const way = (id: string, more: object) => ({
    id,
    name: id,
    method: 'drilled',
    on: '2026-07-20',
    passCost: '38 to 65',
    seedCost: '80',
    emerges: '75 % (published 70 to 85)',
    plants: '120',
    per1000: '0.11',
    days: '0.9',
    machine: 'drill',
    hasMachine: true,
    planned: false,
    ...more,
  });

  test('stand side by side, and one is taken into the plan by the page', async () => {
    serve({
      'POST /api/covers/ways': {
        atOnce: '2026-07-20',
        moneyUnit: 'EUR/ha',
        plantUnit: '/m²',
        costNote: 'Passes by the library.',
        ways: [
          way('Drilled at once', { planned: true }),
          way('Spread', { method: 'broadcast', hasMachine: false, machine: 'spreader' }),
          way('Flown', { impossible: 'no crop stands to fly it into' }),
        ],
      },
    });
    const taken: string[] = [];
    opened(<Ways coverId="v1" onTake={(w) => taken.push(w.method)} />);
    fireEvent.click(screen.getByText('Ways of sowing'));
    const row = within((await screen.findByText('Spread')).closest('tr')!);
    expect(row.getByText(/not entered here/)).toBeTruthy();
    fireEvent.click(row.getByRole('button', { name: 'Sow it so: Spread' }));
    expect(taken).toEqual(['broadcast']);
    const flown = within(screen.getByText('Flown').closest('tr')!);
    expect(flown.getByText('no crop stands to fly it into')).toBeTruthy();
    expect(flown.queryByRole('button')).toBeNull();
  });
});
