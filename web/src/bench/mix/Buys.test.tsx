import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { figure, opened, PLAN } from '../../plan/openedPlan';
import { choose } from '../../ui/choosing';
import { serve, type Called } from '../../ui/fakeServer';
import { Buys } from './Buys';
import { Schools } from './Schools';

const bought = (base?: string) => ({
  ...(base ? { base } : {}),
  aims: [{ id: 'fix-nitrogen', name: 'Fix nitrogen', measure: 'Nitrogen fixed', unit: 'kg/ha' }],
  whole: {
    mass: figure('m', 4, 't/ha'),
    aims: [figure('a', 60, 'kg/ha')],
    cost: '90',
    costUnit: 'EUR/ha',
    perAim: ['1.50 EUR/kg'],
  },
  members: base
    ? []
    : [
        {
          species: 'hairy-vetch',
          name: 'Hairy vetch',
          group: 'cool-legume',
          left: figure('l', 3, 't/ha'),
          leaves: [figure('x', 0, 'kg/ha')],
          buys: {
            adds: ['+60'],
            worth: 40,
            seenYears: 24,
            years: 30,
            costs: '60',
            perAim: ['1.00 EUR/kg'],
            inStore: false,
          },
          substitute: { species: 'phacelia', name: 'Phacelia', inStore: true },
        },
      ],
  more: [
    {
      species: 'phacelia',
      name: 'Phacelia',
      group: 'broadleaf',
      percent: 25,
      buys: {
        adds: ['±0'],
        worth: 3,
        seenYears: 12,
        years: 30,
        costs: '9',
        perAim: [null],
        inStore: true,
      },
    },
  ],
});

describe('what each species buys', () => {
  afterEach(cleanup);

  test('stands with cost and years; one more is taken, a missing one is replaced', async () => {
    const called = serve({
      'POST /api/mixes/buys': (c: Called) => bought((c.body as { base?: string }).base),
    });
    const take = vi.fn();
    const replace = vi.fn();
    opened(<Buys cover={PLAN.covers[0]!} onTake={take} onReplace={replace} />);
    fireEvent.click(screen.getByText('What each species buys'));
    const row = within(
      (await screen.findByText('if it does not come up, 3 t/ha stand')).closest('tr')!,
    );
    expect(row.getByText('24 of 30')).toBeTruthy();
    expect(row.getByText('+40 %')).toBeTruthy();
    fireEvent.click(row.getByRole('button', { name: 'Put Phacelia in place of Hairy vetch' }));
    expect(replace).toHaveBeenCalledWith('hairy-vetch', 'phacelia');
    fireEvent.click(screen.getByRole('button', { name: 'Add Phacelia' }));
    expect(take.mock.calls[0]![0]).toMatchObject({ species: 'phacelia', percent: 25 });
    choose('Beside', 'Cereal rye alone');
    expect(await screen.findByText(/beside cereal-rye it would add/)).toBeTruthy();
    expect(
      called.filter((c) => c.what.endsWith('/buys')).map((c) => (c.body as { base?: string }).base),
    ).toEqual([undefined, 'cereal-rye']);
  });
});

describe('schools of mixing', () => {
  afterEach(cleanup);

  test('the side of the farm stands first, beside the other with what decides', () => {
    opened(
      <Schools
        schools={[
          {
            id: 'diversity',
            name: 'How many species',
            mine: '6 species',
            chosen: 'lean',
            source: '',
            sides: [
              {
                id: 'diverse',
                name: 'diverse',
                band: '5 to 20 species',
                holds: 'one may fail',
                has: true,
              },
              {
                id: 'lean',
                name: 'lean',
                band: '1 to 4 species',
                holds: 'seed is dear',
                has: false,
              },
            ],
          },
        ]}
      />,
    );
    const section = screen.getByRole('region', { name: 'How many species' });
    expect(section.textContent).toMatch(
      /lean: 1 to 4 species this farm: the mix, 6 species, is outside.*diverse.*where the mix stands/,
    );
  });
});
