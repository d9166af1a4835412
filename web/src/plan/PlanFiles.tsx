import { useState } from 'react';

import { today, token } from '../api/client';
import { useOpenPlan } from './context';

function hand(blob: Blob, name: string) {
  const url = URL.createObjectURL(blob);
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** The drawn section as a picture that stands by itself: every colour written out, always as by day. */
function drawnSection(): string {
  const svg = document.getElementById('section');
  if (!svg) return '';
  const root = document.documentElement;
  const theme = root.dataset.theme;
  root.dataset.theme = 'day';
  const style = getComputedStyle(root);
  const text = new XMLSerializer()
    .serializeToString(svg)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim());
  if (theme) root.dataset.theme = theme;
  else delete root.dataset.theme;
  return text;
}

/** The plan on paper and as a file. */
export function PlanFiles() {
  const { session, state, field } = useOpenPlan();
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
              body: JSON.stringify({ asOf: today(), sectionSvg: drawnSection() }),
            });
      if (!answer.ok) throw new Error(`the server answered ${answer.status}`);
      hand(await answer.blob(), what === 'pdf' ? `${name}.pdf` : `${name}.json`);
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
