import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';

import { rendered, serve } from '../ui/fakeServer';
import { FieldTurns } from './FieldTurns';

afterEach(cleanup);

const turn = (field: string, why: string) => ({
  fieldId: `f-${field}`,
  field,
  cover: 'Cereal rye',
  on: '2027-04-20',
  why,
});

test('which field first is read when it is opened, in three orders', async () => {
  const called = serve({
    'GET /api/field-turns': {
      dry: [turn('Long Acre', 'takes 40 mm'), turn('Upper Bank', 'takes 5 mm')],
      wet: [turn('Upper Bank', 'fit on 8 days of 10'), turn('Long Acre', 'fit on 3 days of 10')],
      graze: [],
    },
  });
  rendered(<FieldTurns pending={0} />);
  expect(called).toHaveLength(0);
  fireEvent.click(screen.getByRole('button', { name: 'Which field first' }));
  const dry = await screen.findByRole('region', { name: 'Dry spring: end first' });
  expect(
    within(dry)
      .getAllByRole('listitem')
      .map((l) => l.textContent),
  ).toEqual([
    expect.stringMatching(/^Long Acre, 20 Apr.*takes 40 mm \(Cereal rye\)$/),
    expect.stringMatching(/^Upper Bank/),
  ]);
  expect(within(dry).getByRole('link', { name: 'Long Acre' }).getAttribute('href')).toBe(
    '/fields/f-Long Acre/end',
  );
  const wet = screen.getByRole('region', { name: 'Wet spring: plant first' });
  expect(within(wet).getAllByRole('link')[0]!.textContent).toBe('Upper Bank');
  expect(screen.getByText('no field with such a cover ahead')).toBeTruthy();
});
