import type { Refusal } from '../api/client';
import { Both, Side } from '../ui/Both';

/** Somebody else changed the lot meanwhile where this form changes it. */
export function LotConflict({
  met,
  onMine,
  onTheirs,
}: {
  met: Refusal;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <Both
      title={met.message}
      sides={
        <>
          <Side name="Elsewhere" changes={met.body.theirs as string[]} none="removed" />
          <Side name="Where yours meets it" changes={met.body.overlaps as string[]} />
        </>
      }
    >
      <button type="button" className="btn" onClick={onMine}>
        keep mine
      </button>
      <button type="button" className="btn" onClick={onTheirs}>
        take theirs
      </button>
    </Both>
  );
}
