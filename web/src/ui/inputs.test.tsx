import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { DateField } from './DateField';
import { DecimalSignContext } from './numbers';
import { NumberField, problemAt, QuantityField } from './inputs';
import { choose } from './choosing';

afterEach(cleanup);

const type = (label: string, text: string) => {
  const input = screen.getByLabelText<HTMLInputElement>(label);
  fireEvent.change(input, { target: { value: text } });
  fireEvent.blur(input);
  return input;
};

describe('numbers', () => {
  test('what is no number stays typed and nothing is taken', () => {
    const take = vi.fn();
    render(<NumberField label="Waste" value={3} onChange={take} />);
    const input = type('Waste', 'about 4');
    expect(input.value).toBe('about 4');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('alert').textContent).toContain('about 4');
    expect(take).not.toHaveBeenCalled();
  });

  test('below zero and above the most are told, a comma is taken', () => {
    const take = vi.fn();
    render(<NumberField label="Waste" value={3} max={100} onChange={take} />);
    type('Waste', '-1');
    expect(screen.getByRole('alert').textContent).toBe('not below zero');
    type('Waste', '101');
    expect(screen.getByRole('alert').textContent).toBe('at most 100');
    type('Waste', '4,5');
    expect(take).toHaveBeenLastCalledWith(4.5);
  });

  test('what can be read two ways is asked about', () => {
    const take = vi.fn();
    render(<NumberField label="In store" value={3} onChange={take} />);
    type('In store', '1,250');
    expect(screen.getByRole('alert').textContent).toContain('two ways');
    expect(take).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: '1250' }));
    expect(take).toHaveBeenLastCalledWith(1250);
  });

  test('a farm in US units groups thousands by commas', () => {
    const take = vi.fn();
    render(
      <DecimalSignContext value="point">
        <NumberField label="In store" value={3} onChange={take} />
      </DecimalSignContext>,
    );
    expect(type('In store', '16,000').value).toBe('16000');
    expect(take).toHaveBeenLastCalledWith(16000);
  });

  test('of two readings the one that can be is taken', () => {
    const take = vi.fn();
    render(<NumberField label="Latitude" value={undefined} min={-90} max={90} onChange={take} />);
    type('Latitude', '43.125');
    expect(take).toHaveBeenLastCalledWith(43.125);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('what this page wrote itself is not asked about', () => {
    const take = vi.fn();
    render(<NumberField label="In store" value={1.234} onChange={take} />);
    fireEvent.blur(screen.getByLabelText('In store'));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('emptied means default', () => {
    const take = vi.fn();
    render(<NumberField label="Waste" value={3} onChange={take} />);
    type('Waste', '');
    expect(take).toHaveBeenCalledWith(undefined);
  });

  test('a problem told by the server stands at its field', () => {
    const problems = [{ pointer: '/crops/0/yieldGoal/unit', message: 'use one of kg/ha' }];
    expect(problemAt(problems, '/crops/0/yieldGoal')).toBe('use one of kg/ha');
    expect(problemAt(problems, '/crops/0')).toBe('use one of kg/ha');
    expect(problemAt(problems, '/crops/01')).toBeUndefined();
    expect(problemAt(undefined, '/x')).toBeUndefined();
  });
});

describe('quantities', () => {
  test('number and unit are kept as typed', () => {
    const take = vi.fn();
    render(
      <QuantityField
        label="Area"
        value={{ value: 4, unit: 'ac' }}
        units={['ha', 'ac']}
        onChange={take}
      />,
    );
    type('Area', '5');
    expect(take).toHaveBeenLastCalledWith({ value: 5, unit: 'ac' });
    choose('Area, unit', 'ha');
    expect(take).toHaveBeenLastCalledWith({ value: 4, unit: 'ha' });
  });

  test('a unit that is not offered is still shown, and money carries the currency', () => {
    render(
      <QuantityField
        label="Price"
        value={{ value: 4, unit: '¤/lb' }}
        units={['¤/kg', '¤/t']}
        currency="EUR"
        onChange={() => undefined}
      />,
    );
    expect(screen.getByLabelText('Price, unit').textContent).toBe('EUR/lb');
    choose('Price, unit', 'EUR/t');
  });
});

describe('days', () => {
  test('are shown without doubt and stepped with [ and ]', () => {
    const take = vi.fn();
    render(<DateField label="Sown" value="2026-08-05" onChange={take} />);
    const input = screen.getByLabelText<HTMLInputElement>('Sown');
    expect(input.value).toBe('5 Aug 2026');
    fireEvent.keyDown(input, { key: ']' });
    expect(take).toHaveBeenLastCalledWith('2026-08-06');
    fireEvent.keyDown(input, { key: '{' });
    expect(take).toHaveBeenLastCalledWith('2026-07-29');
  });

  test('figures that could be two days are asked about, and the chosen one is taken', () => {
    const take = vi.fn();
    render(<DateField label="Sown" value={undefined} onChange={take} />);
    type('Sown', '10/1/2026');
    expect(screen.getByRole('alert').textContent).toContain('which is the month');
    fireEvent.click(screen.getByRole('button', { name: '1 Oct 2026' }));
    expect(take).toHaveBeenLastCalledWith('2026-10-01');
    expect(screen.queryByRole('button', { name: '10 Jan 2026' })).toBeNull();
  });

  test('what is no date stays typed with what is wrong', () => {
    const take = vi.fn();
    render(<DateField label="Sown" value={undefined} onChange={take} />);
    const input = type('Sown', '4/5/2027');
    expect(input.value).toBe('4/5/2027');
    expect(screen.getByRole('alert').textContent).toContain('which is the month');
    expect(take).not.toHaveBeenCalled();
    type('Sown', '4 May 2027');
    expect(take).toHaveBeenLastCalledWith('2027-05-04');
  });
});
