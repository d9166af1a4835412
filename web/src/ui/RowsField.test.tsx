import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import { RowsField } from './RowsField';

type Weed = { name: string; pressure: string; perennial?: boolean };

function Weeds({ start, told }: { start?: Weed[]; told: (w: Weed[] | undefined) => void }) {
  const [rows, setRows] = useState(start);
  return (
    <RowsField<Weed>
      title="Weeds"
      one="weed"
      pointer="/weeds"
      problems={[{ pointer: '/weeds/0/name', message: 'give it a name' }]}
      rows={rows}
      fresh={{ pressure: 'medium' }}
      columns={[
        { key: 'name', label: 'name', kind: 'text', needed: true },
        {
          key: 'pressure',
          label: 'pressure',
          kind: 'choice',
          options: ['low', 'medium'],
          needed: true,
        },
        { key: 'perennial', label: 'perennial', kind: 'tick' },
      ]}
      onChange={(w) => {
        told(w);
        setRows(w);
      }}
    />
  );
}

describe('a list of small entries', () => {
  afterEach(cleanup);

  test('a new row is kept only when it has what it needs', () => {
    const told = vi.fn();
    render(<Weeds told={told} />);
    fireEvent.click(screen.getByRole('button', { name: 'add weed' }));
    expect(screen.getByRole('button', { name: 'Add' })).toHaveProperty('disabled', true);
    const name = screen.getByLabelText('name, new weed');
    fireEvent.change(name, { target: { value: ' thistle ' } });
    fireEvent.blur(name);
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(told).toHaveBeenLastCalledWith([{ name: 'thistle', pressure: 'medium' }]);
  });

  test('a row is changed in its place, and the last one removed leaves nothing', () => {
    const told = vi.fn();
    render(<Weeds start={[{ name: 'thistle', pressure: 'low' }]} told={told} />);
    fireEvent.click(screen.getByLabelText('perennial, weed 1'));
    expect(told).toHaveBeenLastCalledWith([{ name: 'thistle', pressure: 'low', perennial: true }]);
    fireEvent.click(screen.getByRole('button', { name: 'Remove weed 1' }));
    expect(told).toHaveBeenLastCalledWith(undefined);
  });

  test('what a row cannot do without is not emptied, and a problem stands at its place', () => {
    const told = vi.fn();
    render(<Weeds start={[{ name: 'thistle', pressure: 'low' }]} told={told} />);
    const name = screen.getByLabelText('name, weed 1');
    fireEvent.change(name, { target: { value: '' } });
    fireEvent.blur(name);
    expect(told).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toBe('give it a name');
  });
});
