import { useState } from 'react';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';

import { today, token, type Evaluation } from '../api/client';
import { GroundSection, type SectionHand } from '../section/GroundSection';
import { useOpenPlan } from './context';

function hand(blob: Blob, name: string) {
  const url = URL.createObjectURL(blob);
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

const PRINT_WIDTH = 1000;
const PRINT_HEIGHT = 386;
const NO_HAND: SectionHand = {
  drag: () => undefined,
  dragStand: () => undefined,
  drop: () => undefined,
  cancel: () => undefined,
  step: () => undefined,
  pick: () => undefined,
  note: () => undefined,
};

/** The whole section as a picture that stands by itself: every colour written out, always as by day. */
function drawnSection(evaluation: Evaluation, us: boolean): string {
  const sheet = document.createElement('div');
  const root = createRoot(sheet);
  flushSync(() =>
    root.render(
      <GroundSection
        evaluation={evaluation}
        fold="full"
        width={PRINT_WIDTH}
        height={PRINT_HEIGHT}
        us={us}
        moved={{}}
        hand={NO_HAND}
        still
      />,
    ),
  );
  const svg = sheet.querySelector('svg');
  const page = document.documentElement;
  const theme = page.dataset.theme ?? 'day';
  page.dataset.theme = 'day';
  const style = getComputedStyle(page);
  const text = svg
    ? new XMLSerializer()
        .serializeToString(svg)
        .replace(/var\((--[\w-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim())
    : '';
  page.dataset.theme = theme;
  root.unmount();
  return text;
}

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
