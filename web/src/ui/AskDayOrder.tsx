/** Asks once for a file which figure of its dates is the month, where no day in it shows it. */
export function AskDayOrder({ onAnswer }: { onAnswer: (order: 'mdy' | 'dmy') => void }) {
  return (
    <div role="alert" className="my-2 border-l-4 border-hand bg-handwash p-2">
      <b>Which is the month in dates such as 11/1/1996?</b> No day in this file shows it.
      <span className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => onAnswer('mdy')}>
          The first: 1 November 1996
        </button>
        <button type="button" className="btn" onClick={() => onAnswer('dmy')}>
          The second: 11 January 1996
        </button>
      </span>
    </div>
  );
}
