import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';

import { opened } from '../../plan/openedPlan';
import { choose } from '../../ui/choosing';
import type { Wishes } from './asked';
import { WishForm, without } from './WishForm';

afterEach(cleanup);

/** The form with wishes that it keeps itself; what it holds is read through the last call. */
function filled(us = false) {
  const kept: Wishes[] = [];
  function Form() {
    const [wishes, set] = useState<Wishes>({});
    return (
      <WishForm
        wishes={wishes}
        set={(change) => {
          const next = { ...wishes, ...change };
          kept.push(next);
          set(next);
        }}
        aims={[]}
        problems={[]}
      />
    );
  }
  opened(<Form />, { us });
  return () => kept[kept.length - 1];
}

const type = (label: string, text: string) => {
  const box = screen.getByLabelText(label);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};

describe('wishes for a mix', () => {
  it('bound a species by its full rate, by seeds, by weight or by its box', () => {
    const held = filled();
    choose('Bound the share of', 'Cereal rye');
    expect(held()).toEqual({ speciesShares: { 'cereal-rye': { least: 5 } } });
    choose('in', 'the live seeds');
    choose('Bound the share of', 'Cereal rye');
    choose('in', 'the weight in its box');
    choose('Bound the share of', 'Hairy vetch');
    expect(held()).toMatchObject({
      seedPercents: { 'cereal-rye': { least: 5 } },
      boxPercents: { 'hairy-vetch': { least: 5 } },
    });
    expect(screen.getByText('% of its box')).toBeTruthy();
    type('Hairy vetch, least', '');
    expect(held()?.boxPercents).toBeUndefined();
  });

  it('bound the weight of seed in the units of the farm', () => {
    const held = filled(true);
    type('Weight of live seed, most', '80');
    expect(held()?.weightKgHa?.most).toBeCloseTo(80 / 0.8921791, 3);
  });

  it('ask for a group and give it up again', () => {
    const held = filled();
    choose('Must hold a species of', 'cool grass');
    expect(held()?.groups).toEqual({ 'cool-grass': 1 });
    fireEvent.click(screen.getByRole('button', { name: 'No longer ask for cool grass' }));
    expect(held()?.groups).toBeUndefined();
  });
});

describe('bounds of a proposal', () => {
  it('are changed or removed one by one', () => {
    const two = { rye: { least: 5 }, vetch: { most: 50 } };
    expect(without(two, 'rye', { least: 10, most: 60 })).toEqual({
      rye: { least: 10, most: 60 },
      vetch: { most: 50 },
    });
    expect(without(two, 'rye', undefined)).toEqual({ vetch: { most: 50 } });
    expect(without({ rye: {} }, 'rye', undefined)).toBeUndefined();
  });
});
