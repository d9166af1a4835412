import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { choose } from './choosing';
import { SelectField } from './inputs';

afterEach(cleanup);

const OPTIONS = [
  { id: 'roll', name: 'Roller', under: 'Without tillage' },
  { id: 'mow', name: 'Mower', under: 'Without tillage' },
  { id: 'disc', name: 'Disc', under: 'With tillage' },
];

describe('one of a list', () => {
  test('shows what is chosen, and what stands for nothing while nothing is', () => {
    const { rerender } = render(
      <SelectField label="How" value="" empty="choose" options={OPTIONS} onChange={vi.fn()} />,
    );
    expect(screen.getByLabelText('How').textContent).toBe('choose');
    rerender(
      <SelectField label="How" value="mow" empty="choose" options={OPTIONS} onChange={vi.fn()} />,
    );
    expect(screen.getByRole('combobox', { name: 'How' }).textContent).toBe('Mower');
  });

  test('is chosen by keyboard, and nothing can be chosen again', () => {
    const take = vi.fn();
    const { rerender } = render(
      <SelectField label="How" value="" empty="choose" options={OPTIONS} onChange={take} />,
    );
    choose('How', 'Disc');
    expect(take).toHaveBeenLastCalledWith('disc');
    rerender(
      <SelectField label="How" value="disc" empty="choose" options={OPTIONS} onChange={take} />,
    );
    choose('How', 'choose');
    expect(take).toHaveBeenLastCalledWith('');
  });

  test('options stand under their headings', () => {
    render(<SelectField label="How" value="roll" options={OPTIONS} onChange={vi.fn()} />);
    choose('How', 'Roller');
    fireEvent.keyDown(screen.getByLabelText('How'), { key: 'Enter' });
    const groups = screen.getAllByRole('group');
    expect(groups).toHaveLength(2);
    expect(
      within(groups[1]!)
        .getAllByRole('option')
        .map((o) => o.textContent),
    ).toEqual(['Disc']);
  });

  test('says what is wrong with it, and cannot be opened while it is not asked', () => {
    render(
      <SelectField
        label="How"
        value=""
        empty="choose"
        options={OPTIONS}
        problem="no roller reaches this field"
        onChange={vi.fn()}
      />,
    );
    const trigger = screen.getByLabelText('How');
    expect(trigger.getAttribute('aria-invalid')).toBe('true');
    expect(
      document.getElementById(trigger.getAttribute('aria-describedby') ?? '')?.textContent,
    ).toBe('no roller reaches this field');
    cleanup();
    render(<SelectField label="How" value="" options={OPTIONS} disabled onChange={vi.fn()} />);
    fireEvent.keyDown(screen.getByLabelText('How'), { key: 'Enter' });
    expect(screen.queryByRole('option')).toBeNull();
  });
});
