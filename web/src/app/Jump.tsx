import { useDeferredValue, useState } from 'react';
import { useNavigate, useParams } from 'react-router';

import { STEPS } from '../plan/steps';
import { useFieldNames } from '../api/useFieldPages';
import { Panel } from '../ui/Panel';
import { focusWork } from './focusWork';
import { useKey } from './useKey';

/** Places offered at a time. */
const SHOWN = 12;

type Target = { to: string; name: string; aside: string };

function useTargets(find: string): Target[] {
  const { fieldId } = useParams();
  const fields = useFieldNames(useDeferredValue(find), true, SHOWN);
  const steps = fieldId
    ? STEPS.map((s) => ({ to: `/fields/${fieldId}/${s.id}`, name: s.name, aside: 'step' }))
    : [];
  return [
    ...steps,
    ...(fields.data?.fields ?? []).map((f) => ({
      to: `/fields/${f.fieldId}`,
      name: f.name,
      aside: f.farmName,
    })),
    { to: '/fields', name: 'Fields', aside: 'view' },
    { to: '/weather', name: 'Weather', aside: 'view' },
    { to: '/seed-store', name: 'Seed store', aside: 'view' },
    { to: '/people', name: 'People', aside: 'view' },
  ];
}

function JumpList({ onDone }: { onDone: () => void }) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const navigate = useNavigate();
  const found = useTargets(text.trim())
    .filter((t) => `${t.name} ${t.aside}`.toLowerCase().includes(text.trim().toLowerCase()))
    .slice(0, SHOWN);
  const chosen = Math.min(at, found.length - 1);
  const go = (t: Target | undefined) => {
    if (!t) return;
    onDone();
    // the dialog gives the focus back to its button first
    void Promise.resolve(navigate(t.to)).then(() =>
      requestAnimationFrame(() => setTimeout(focusWork)),
    );
  };
  return (
    <>
      <input
        role="combobox"
        aria-label="Jump to"
        aria-expanded
        aria-controls="jump-list"
        aria-activedescendant={found.length ? `jump-${chosen}` : undefined}
        className="w-full"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt(Math.min(found.length - 1, chosen + 1));
          else if (e.key === 'ArrowUp') setAt(Math.max(0, chosen - 1));
          else if (e.key === 'Enter') go(found[chosen]);
          else return;
          e.preventDefault();
        }}
      />
      <ul id="jump-list" role="listbox" aria-label="Places" className="mt-2">
        {found.map((t, i) => (
          <li
            key={t.to}
            id={`jump-${i}`}
            role="option"
            aria-selected={i === chosen}
            className={`flex min-h-[28px] cursor-pointer items-center justify-between px-2 ${i === chosen ? 'bg-ink text-paper' : ''}`}
            onPointerEnter={() => setAt(i)}
            onClick={() => go(t)}
          >
            <b>{t.name}</b> <i>{t.aside}</i>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="mt-2 italic">nothing of that name</p>}
    </>
  );
}

/** Jump anywhere: field, step, view. */
export function JumpButton() {
  const [open, setOpen] = useState(false);
  useKey('/', () => setOpen(true));
  return (
    <Panel
      title="Jump to"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="link max-[640px]:hidden">
          <kbd className="kbd">/</kbd> jump
        </button>
      }
    >
      <JumpList onDone={() => setOpen(false)} />
    </Panel>
  );
}
