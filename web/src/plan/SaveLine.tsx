import { useOpenPlan } from './context';

/** Undo, redo and how the saving stands: calm while all is well. */
export function SaveLine() {
  const { session, state } = useOpenPlan();
  const save = state.save;
  const trouble = save.kind === 'failed' || save.kind === 'conflict';
  return (
    <>
      <span role="status" className={trouble ? 'text-hand' : 'text-ink2 italic'}>
        {save.kind === 'saved' && 'saved'}
        {save.kind === 'saving' && 'saving'}
        {save.kind === 'failed' && `not saved: ${save.reason}`}
        {save.kind === 'conflict' && 'not saved: the plan was changed elsewhere'}
      </span>
      {save.kind === 'conflict' && (
        <>
          <button type="button" className="link" onClick={() => void session.keepMine()}>
            keep mine
          </button>
          <button type="button" className="link" onClick={() => void session.takeTheirs()}>
            take theirs
          </button>
        </>
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
    </>
  );
}
