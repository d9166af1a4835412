import { useState } from 'react';

import { today, token } from '../api/client';
import { useOpenPlan } from './context';
import { drawnSection } from './drawnSection';
import { handOver } from './handOver';

/** The plan on paper and as a file. */
export function PlanFiles() {
  const { session, state, field, us } = useOpenPlan();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const name = field.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || 'plan';
  const fetchFile = async (what: 'pdf' | 'dossier') => {
    setBusy(true);
    setProblem('');
    try {
      await session.flush();
      const path = `/api/plans/${state.plan.id}/${what}`;
      const answer =
        what === 'dossier'
          ? await fetch(path)
          : await fetch(path, {
              method: 'POST',
              headers: { ...(await token()), 'Content-Type': 'application/json' },
              body: JSON.stringify({
                asOf: today(),
                sectionSvg: state.evaluation && drawnSection(state.evaluation, us),
              }),
            });
      if (!answer.ok) throw new Error(`the server answered ${answer.status}`);
      handOver(await answer.blob(), what === 'pdf' ? `${name}.pdf` : `${name}.json`);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : 'it did not work');
    }
    setBusy(false);
  };
  return (
    <>
      <button type="button" className="link" disabled={busy} onClick={() => void fetchFile('pdf')}>
        Plan as PDF
      </button>
      <button
        type="button"
        className="link"
        disabled={busy}
        onClick={() => void fetchFile('dossier')}
      >
        Plan as JSON
      </button>
      {problem && (
        <span role="alert" className="text-hand">
          no file: {problem}
        </span>
      )}
    </>
  );
}
