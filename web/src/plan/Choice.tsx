import { useNavigate } from 'react-router';

import { Both, Side } from '../ui/Both';
import { spokenTime } from '../ui/dates';
import { useOpenPlan } from './context';

/** Two saves met, or an undo met another's change: both sides in words, and what may be chosen. */
export function Choice() {
  const { session, state, field, fieldSave } = useOpenPlan();
  const navigate = useNavigate();
  const save = state.save;
  const shared = fieldSave.conflict;
  if (save.kind === 'conflict') {
    const c = save.comparison;
    const copy = async () => {
      const id = await session.keepCopy(`changes of ${spokenTime(new Date().toISOString())}`);
      if (id) void navigate(`?plan=${id}`);
    };
    return (
      <Both
        title="This plan was saved elsewhere while you changed it"
        note={c.overlaps.length === 0 ? 'The changes are in different places.' : undefined}
        sides={
          <>
            <Side
              name={`${c.author}, ${spokenTime(c.savedAt)}`}
              changes={c.theirs}
              none="no change of substance"
            />
            <Side name="You, on this page" changes={c.mine} none="no change of substance" />
            {c.overlaps.length > 0 && <Side name="Where they meet" changes={c.overlaps} />}
          </>
        }
      >
        {c.overlaps.length === 0 && (
          <button type="button" className="btn btn-main" onClick={() => void session.keepBoth()}>
            keep both
          </button>
        )}
        <button type="button" className="btn" onClick={() => void session.keepMine()}>
          keep mine
        </button>
        <button type="button" className="btn" onClick={() => void session.takeTheirs()}>
          take theirs
        </button>
        <button type="button" className="btn" onClick={() => void copy()}>
          open mine as a copy
        </button>
      </Both>
    );
  }
  if (save.kind === 'overlap') {
    return (
      <Both
        title={`Somebody else changed the same since: nothing was ${save.step === 'undo' ? 'taken back' : 'done again'}`}
        sides={
          <Side
            name={save.step === 'undo' ? 'Taking back would be' : 'Doing again would be'}
            changes={save.overlaps}
          />
        }
      >
        <button type="button" className="btn btn-main" onClick={session.leave}>
          leave it
        </button>
        {save.overridable && (
          <button
            type="button"
            className="btn"
            onClick={() => void (save.step === 'undo' ? session.undo(true) : session.redo(true))}
          >
            do it anyway
          </button>
        )}
      </Both>
    );
  }
  if (shared) {
    return (
      <Both
        title={`${field.name} was changed elsewhere while you changed it`}
        sides={
          <>
            <Side name="Elsewhere" changes={shared.theirs} none="no change of substance" />
            <Side name="Where yours meets it" changes={shared.overlaps} />
          </>
        }
      >
        <button type="button" className="btn" onClick={fieldSave.keepMine}>
          keep mine
        </button>
        <button type="button" className="btn" onClick={fieldSave.takeTheirs}>
          take theirs
        </button>
      </Both>
    );
  }
  return null;
}
