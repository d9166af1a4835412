/** Asks once for a table how its numbers are written, where they can be read two ways. */
export function AskDecimalSign({ onAnswer }: { onAnswer: (sign: 'point' | 'comma') => void }) {
  return (
    <div role="alert" className="my-2 border-l-4 border-hand bg-handwash p-2">
      <b>How does this table write numbers?</b> Some can be read two ways.
      <span className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => onAnswer('point')}>
          1,200 is 1200 and 1.5 is one and a half
        </button>
        <button type="button" className="btn" onClick={() => onAnswer('comma')}>
          1.200 is 1200 and 1,5 is one and a half
        </button>
      </span>
    </div>
  );
}
