import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import type { Plan, Schemas } from '../api/client';
import { Ledger } from '../ledger/Ledger';
import { answered, figure, opened } from '../plan/openedPlan';
import { useOpenPlan } from '../plan/context';
import { choose } from '../ui/choosing';
import { FieldChecks } from './FieldChecks';
import { LifePart } from './field/LifePart';
import { SoilTable } from './field/SoilTable';
import { Delivers } from './mix/Delivers';
import { RateTable } from './RateTable';
import { ShareBars } from './ShareBars';
import { Simulated } from './Simulated';
import { WindowTable } from './WindowTable';

afterEach(cleanup);

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, text: string) => {
  const box = screen.getByLabelText(label);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};

/** The rate table on the cover of the open plan, as the step Mix puts it there. */
function Rates({ seen }: { seen: Schemas['MixChapterView'] | undefined }) {
  const { session, state } = useOpenPlan();
  const cover = state.plan.covers[0]!;
  return (
    <RateTable
      cover={cover}
      mix={cover.mix!}
      seen={seen}
      lots={[{ id: 'l1', species: 'cereal-rye', label: 'RY 1' } as never]}
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

describe('the rates of a mix', () => {
  test('stand by box with their sum, and open their workings', () => {
    const bench = opened(<Rates seen={answered().mix['v1']} />);
    const table = screen.getByRole('table');
    expect(within(table).getByText('Large box')).toBeTruthy();
    const rye = screen.getByText('Cereal rye').closest('tr')!;
    expect(rye.textContent).toContain('PLS 88.2 %');
    fireEvent.click(within(rye).getByRole('button', { name: /bulk 65 kg\/ha/ }));
    expect(bench.openWorking).toHaveBeenCalledWith('mix/v1/cereal-rye/bulk');
    const sum = screen.getByText('Sum').closest('tr')!;
    expect(within(sum).getByRole('button', { name: /1320 kg/ })).toBeTruthy();
    // no lot is priced
    expect(sum.textContent).toContain('–');
  });

  test('species without a rate wait below, each with a dash', () => {
    opened(<Rates seen={undefined} />);
    expect(screen.getByText('No rate yet')).toBeTruthy();
    expect(screen.queryByText('Sum')).toBeNull();
    expect(screen.getByText('Hairy vetch').closest('tr')!.textContent).toContain('–');
  });

  test('a row whose first rate arrives goes to its box as it is, with what is held in it', () => {
    function Arriving() {
      const [seen, arrive] = useState<Schemas['MixChapterView']>();
      return (
        <>
          <button type="button" onClick={() => arrive(answered().mix['v1'])}>
            arrive
          </button>
          <Rates seen={seen} />
        </>
      );
    }
    opened(<Arriving />);
    const before = screen.getByLabelText('Hairy vetch lot');
    press('arrive');
    expect(screen.getByText('Large box')).toBeTruthy();
    expect(screen.getByLabelText('Hairy vetch lot')).toBe(before);
  });

  test('share, lot and species are changed in the plan', () => {
    const bench = opened(<Rates seen={answered().mix['v1']} />);
    type('Cereal rye share', '35');
    choose('Cereal rye lot', 'RY 1');
    expect(mix(bench.plan()).components[0]).toMatchObject({ sharePercent: 35, lotId: 'l1' });
    choose('Cereal rye lot', 'no lot');
    expect(mix(bench.plan()).components[0]!.lotId).toBeUndefined();
    press('Remove Hairy vetch');
    expect(mix(bench.plan()).components.map((c) => c.species)).toEqual(['cereal-rye']);
  });

  test('a share out of bounds is told at its field', () => {
    opened(<Rates seen={answered().mix['v1']} />, {
      problems: [
        { pointer: '/covers/0/mix/components/1/sharePercent', message: 'from 0 to 300 %' },
      ],
    });
    const vetch = screen.getByText('Hairy vetch').closest('tr')!;
    expect(within(vetch).getByRole('alert').textContent).toBe('from 0 to 300 %');
  });
});

describe('bag, seedbed and stand', () => {
  test('say the shares in words, and of the stand only where it is forecast', () => {
    const seen = answered().mix['v1']!;
    opened(<ShareBars mix={seen} />);
    const words = screen.getByRole('img').getAttribute('aria-label') ?? '';
    expect(words).toContain('Cereal rye: 60 % of seeds, 60 % of weight');
    expect(words).not.toContain('of the stand');
    expect(screen.getByText('Bag and seedbed')).toBeTruthy();
    cleanup();
    opened(
      <ShareBars
        mix={{
          ...seen,
          rates: seen.rates.map((r) => ({ ...r, standShare: figure('s', 50, '%') })),
          delivers: { mass: figure('mix/v1/mass', 5, 't/ha'), aims: {} },
        }}
      />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('50 % of the stand');
    expect(screen.getByText('Bag, seedbed, stand').parentElement?.textContent).toContain('5 t/ha');
  });
});

describe('what a mix delivers', () => {
  test('stands aim by aim in the order of their rank; one without a figure is a dash', () => {
    opened(<Delivers coverId="v1" aims={['fix-nitrogen', 'mulch']} />, {
      evaluation: (e) => ({
        ...e,
        mix: {
          v1: {
            ...e.mix['v1']!,
            delivers: {
              mass: figure('mix/v1/mass', 5, 't/ha', { low: '4', high: '6' }),
              carbonToNitrogen: figure('mix/v1/cn', 22, ''),
              aims: { mulch: figure('mix/v1/aim/mulch', 4, 't/ha') },
            },
          },
        },
      }),
    });
    const terms = screen.getAllByRole('term').map((t) => t.textContent);
    expect(terms).toEqual([
      'Dry tops when it ends',
      'C:N when it ends',
      '1. Fix nitrogen',
      '2. Mulch to plant through',
    ]);
    const said = screen.getAllByRole('definition').map((d) => d.textContent);
    expect(said[0]).toContain('4 … 6');
    expect(said[2]).toBe('–');
  });

  test('nothing is promised without a forecast', () => {
    opened(<Delivers coverId="v1" aims={['mulch']} />);
    expect(screen.queryByRole('term')).toBeNull();
  });
});

describe('windows', () => {
  test('those between crops stand first; those inside are a click away', () => {
    opened(<WindowTable />);
    const rows = () => screen.getAllByRole('row').slice(1);
    expect(rows()).toHaveLength(1);
    expect(rows()[0]!.textContent).toContain('winter wheat → grain corn');
    expect(rows()[0]!.textContent).toContain('1,700 … 2,100');
    press('1 more inside the crops');
    expect(rows()).toHaveLength(2);
    expect(rows()[1]!.textContent).toContain('light under the crop');
    press('windows between crops alone');
    expect(rows()).toHaveLength(1);
  });

  test('a window without a cover takes one; one inside a crop is sown as its kind is', () => {
    const bench = opened(<WindowTable />, {
      plan: (p) => ({ ...p, covers: [] }),
      evaluation: (e) => ({ ...e, covers: [] }),
    });
    press(/Add a cover in the window from 20 July? 2026/);
    expect(bench.plan().covers[0]!.place).toMatchObject({ relation: 'before', cropId: 'c2' });
    press('1 more inside the crops');
    press(/interseeded at V3 to V6$/);
    expect(bench.plan().covers[1]!.place).toMatchObject({ relation: 'into', cropId: 'c2' });
  });

  test('counted back: days gone by are marked, and what the drill can do is said', () => {
    opened(<WindowTable />, {
      evaluation: (e) => ({
        ...e,
        calendar: [
          {
            what: 'order seed',
            by: '2026-06-20',
            step: 'mix',
            subject: 'v1',
            because: '21 days before the sowing',
          },
        ],
        sow: { v1: { coldPercent: {}, drillCapacity: figure('sow/v1/drillCapacity', 300, 'ha') } },
      }),
    });
    expect(screen.getByText('(past)')).toBeTruthy();
    expect(screen.getByRole('button', { name: /300 ha/ })).toBeTruthy();
  });
});

describe('the ledger', () => {
  test('holds the lines of the crop in hand and names the others', () => {
    const bench = opened(<Ledger />, {
      evaluation: (e) => ({
        ...e,
        ledger: [
          ...e.ledger,
          { cropId: 'c1', label: 'Soil disturbance', figure: figure('plant/c1/rating', 3, 'STIR') },
        ],
      }),
    });
    expect(screen.getAllByRole('term').map((t) => t.textContent)).toEqual([
      'Days in the window',
      'Dead before planting',
    ]);
    press('winter wheat');
    expect(bench.takeInHand).toHaveBeenCalledWith('c1');
    press(/296 d/);
    expect(bench.openWorking).toHaveBeenCalledWith('window/c2/days');
  });

  test('an empty plan says how it fills', () => {
    opened(<Ledger />, { evaluation: (e) => ({ ...e, ledger: [] }) });
    expect(screen.getByText('fills as the plan is made')).toBeTruthy();
  });
});

describe('the soil', () => {
  test('stands layer by layer with what it holds', () => {
    const bench = opened(<SoilTable />);
    const row = screen.getByText('0 to 30 cm').closest('tr')!;
    expect(within(row).getAllByRole('button')).toHaveLength(3);
    press(/180 mm/);
    expect(bench.openWorking).toHaveBeenCalledWith('field/water');
  });
});

describe('figures of the simulation', () => {
  test('those that are not there take no line, and none at all no heading', () => {
    opened(
      <Simulated
        title="There"
        rows={[
          ['Water', figure('w', 80, 'mm')],
          ['Nitrate', undefined],
        ]}
      />,
    );
    expect(screen.getAllByRole('row')).toHaveLength(1);
    cleanup();
    opened(<Simulated title="There" rows={[['Nitrate', undefined]]} />);
    expect(screen.queryByRole('heading')).toBeNull();
  });
});

describe('field checks', () => {
  function Checks() {
    return <FieldChecks verdicts={{}} cover={useOpenPlan().state.plan.covers[0]!} />;
  }

  test('are entered, say what they did, and open the factor they made', () => {
    vi.useFakeTimers({ now: new Date('2026-10-20T12:00:00Z'), toFake: ['Date'] });
    try {
      const bench = opened(<Checks />, {
        evaluation: (e) => ({
          ...e,
          end: {
            v1: {
              gaps: [],
              rules: [],
              tanks: [],
              fallbacks: [],
              checks: [
                {
                  id: 'check-1',
                  on: '2026-10-20',
                  said: 'mass 1 t/ha weighed, 1.4 forecast',
                  factor: figure('grow/v1/check/check-1/factor', 0.84, ''),
                },
              ],
            },
          },
        }),
      });
      press('Enter a field check');
      expect(bench.plan().covers[0]!.checks).toEqual([{ id: 'check-1', on: '2026-10-20' }]);
      expect(screen.getByRole('status').textContent).toContain(
        'mass 1 t/ha weighed, 1.4 forecast.',
      );
      press(/0.84/);
      expect(bench.openWorking).toHaveBeenCalledWith('grow/v1/check/check-1/factor');
      press('Remove the check of 20 Oct 2026');
      expect(bench.plan().covers[0]!.checks).toBeUndefined();
    } finally {
      vi.useRealTimers();
    }
  });
});

test('a step outside an open plan is a fault of the program and says so', () => {
  const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(() => render(<Ledger />)).toThrow('no plan is open here');
  quiet.mockRestore();
});

describe('herbicides of a field', () => {
  test('that none was used is an answer, and can be taken back', () => {
    function Field() {
      const [field, setField] = useState<Schemas['FieldEntry']>({
        id: 'f',
        farmId: 'a',
        name: 'Long Acre',
      });
      return (
        <LifePart field={field} problems={[]} change={(to) => setField((f) => ({ ...f, ...to }))} />
      );
    }
    opened(<Field />);
    press('No residual herbicide was used');
    expect(screen.getByText(/None was used, as entered/)).toBeTruthy();
    press('take that back');
    expect(screen.getByRole('button', { name: 'No residual herbicide was used' })).toBeTruthy();
  });
});
