import { useOpenPlan } from './context';
import { History } from './History';

const WORDS = {
  saved: 'saved',
  saving: 'saving',
  conflict: 'not saved: the plan was changed elsewhere',
  overlap: 'saved',
};

/** Undo, redo, history, and how the saving stands: calm while all is well. */
export function SaveLine() {
  const { session, state, fieldSave } = useOpenPlan();
  const save = state.save;
  const trouble = save.kind === 'failed' || save.kind === 'conflict';
  const field = fieldSave.save;
  const words =
    save.kind === 'failed'
      ? `not saved: ${save.reason}`
      : save.kind === 'saved' && field.failing
        ? `field not saved: ${field.failing}`
        : save.kind === 'saved' && field.busy
          ? 'saving'
          : WORDS[save.kind];
  return (
    <>
      <span role="status" className={trouble || field.failing ? 'text-hand' : 'text-ink2 italic'}>
        {words}
      </span>
      {save.kind === 'failed' && save.signedOut && (
        <a className="link" href="/sign-in" target="_blank" rel="noreferrer">
          sign in again in a new tab
        </a>
      )}
      <button
        type="button"
        className="link disabled:text-ink3 disabled:no-underline"
        disabled={!state.canUndo}
        onClick={() => void session.undo()}
      >
        Undo
      </button>
      <button
        type="button"
        className="link disabled:text-ink3 disabled:no-underline"
        disabled={!state.canRedo}
        onClick={() => void session.redo()}
      >
        Redo
      </button>
      <History />
    </>
  );
}
