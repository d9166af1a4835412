import { useState } from 'react';

import { Link } from 'react-router';

import { useOpenPlan } from './context';
import { drawnSection, paintedSection } from './drawnSection';
import { handOver } from './handOver';
import { StandDays } from './StandDays';

/** The section by itself, as a drawing or a picture. */
export function SectionFiles() {
  const { state, field, us } = useOpenPlan();
  const [problem, setProblem] = useState('');
  const evaluation = state.evaluation;
  if (!evaluation) return null;
  const name = `${field.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || 'field'}-section`;
  const save = async (as: 'svg' | 'png') => {
    setProblem('');
    try {
      const svg = drawnSection(evaluation, us);
      handOver(
        as === 'svg' ? new Blob([svg], { type: 'image/svg+xml' }) : await paintedSection(svg),
        `${name}.${as}`,
      );
    } catch (e) {
      setProblem(e instanceof Error ? e.message : 'it did not work');
    }
  };
  return (
    <p className="mt-4 text-[13.5px]">
      The section as a file:{' '}
      <button type="button" className="link" onClick={() => void save('svg')}>
        SVG drawing
      </button>{' '}
      <button type="button" className="link" onClick={() => void save('png')}>
        PNG picture
      </button>
      {' · '}
      <StandDays />
      {' · '}
      <Link
        className="link"
        to={`/fields/${field.id}/past-year${state.current ? '' : `?plan=${state.plan.id}`}`}
      >
        go through a past year with this plan
      </Link>
      {problem && (
        <span role="alert" className="ml-2 text-hand">
          no file: {problem}
        </span>
      )}
    </p>
  );
}
