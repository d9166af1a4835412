import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';

import type { Schemas } from '../api/client';
import { opened } from '../plan/openedPlan';
import { Notes } from './Notes';

afterEach(cleanup);

const note = (more: Partial<Schemas['NoteView']>): Schemas['NoteView'] => ({
  rule: 'cover-ended-after-planting',
  weight: 'think',
  step: 'end',
  subject: 'v1',
  about: 'Cover ahead of grain corn 2027',
  text: 'Ended 2 days after planting.',
  facts: ['end 2027-05-14'],
  wouldChange: 'an earlier end',
  source: 'common practice',
  status: 'common practice',
  confidence: 'high',
  factsHash: 'h1',
  ...more,
});

const shown = (...notes: Schemas['NoteView'][]) =>
  opened(<Notes step="end" opened={undefined} onOpen={vi.fn()} />, {
    plan: (p) => ({ ...p, answers: [] }),
    evaluation: (e) => ({ ...e, notes }),
  });

describe('notes', () => {
  test('those of the open step come first, the gravest group at the top', () => {
    shown(
      note({ rule: 'a', text: 'A tip of this step.', weight: 'tip' }),
      note({ rule: 'b', text: 'A stop of this step.', weight: 'stop', about: 'Grain corn 2027' }),
      note({ rule: 'c', text: 'Of another step.', step: 'mix', weight: 'stop' }),
    );
    const said = screen.getAllByText(/step\.$/).map((p) => p.textContent);
    expect(said).toEqual(['A stop of this step.', 'A tip of this step.', 'Of another step.']);
    expect(screen.getByText('At other steps')).toBeTruthy();
  });

  test('a plan without notes says so', () => {
    shown();
    expect(screen.getByText('no open notes')).toBeTruthy();
  });

  test('is accepted with a reason, and not without one', () => {
    const bench = shown(note({}));
    fireEvent.click(screen.getByRole('button', { name: 'accept it with a reason' }));
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(bench.plan().answers).toEqual([]);
    fireEvent.change(screen.getByLabelText('Reason'), {
      target: { value: '  planted green on purpose ' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(bench.plan().answers).toEqual([
      {
        rule: 'cover-ended-after-planting',
        subject: 'v1',
        factsHash: 'h1',
        decision: 'accepted',
        reason: 'planted green on purpose',
      },
    ]);
  });

  test('an answered one is folded away, not counted, and can be opened again', () => {
    const answer = {
      rule: 'cover-ended-after-planting',
      subject: 'v1',
      factsHash: 'h1',
      decision: 'accepted' as const,
      reason: 'on purpose',
    };
    const bench = opened(<Notes step="end" opened={undefined} onOpen={vi.fn()} />, {
      plan: (p) => ({ ...p, answers: [answer] }),
      evaluation: (e) => ({
        ...e,
        notes: [note({ answer }), note({ rule: 'other', text: 'Open.' })],
      }),
    });
    expect(screen.getByRole('heading', { name: /^Notes/ }).textContent).toContain('1');
    fireEvent.click(screen.getByRole('button', { name: 'open again' }));
    expect(bench.plan().answers).toEqual([]);
  });

  test('why it speaks, how sure it is and what would change it stand in it', () => {
    shown(note({}));
    const why = screen.getByText('why, and answer').closest('details')!;
    expect(why.textContent).toContain('end 2027-05-14');
    expect(why.textContent).toContain(
      'What would change it: an earlier end. Confidence: high. common practice.',
    );
  });

  test('opening one asks for it to be shown', () => {
    const onOpen = vi.fn();
    opened(<Notes step="end" opened={undefined} onOpen={onOpen} />, {
      evaluation: (e) => ({ ...e, notes: [note({})] }),
    });
    const why = screen.getByText('why, and answer').closest('details')!;
    why.open = true;
    fireEvent(why, new Event('toggle'));
    expect(onOpen).toHaveBeenCalledWith('cover-ended-after-planting v1');
  });
});
