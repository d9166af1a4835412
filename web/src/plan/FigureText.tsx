import type { Figure } from '../api/client';
import { useOpenPlan } from './context';

const ORIGIN = {
  measured: 'measured',
  entered: 'as entered',
  forecast: 'forecast',
  default: 'from defaults',
  library: 'from the library',
};

/** A figure of the evaluation with its unit; it opens its working. A dash where the evaluation does not hold it. */
export function FigureText({
  of: f,
  big,
  unit = true,
  band = false,
}: {
  of: Figure | undefined;
  big?: boolean;
  unit?: boolean;
  band?: boolean;
}) {
  const { openWorking } = useOpenPlan();
  if (!f) {
    return (
      <span className="fig text-ink3" title="not there yet">
        –
      </span>
    );
  }
  return (
    <span className="fig whitespace-nowrap">
      {band && f.low && (
        <span className="mr-2 text-[12px] text-ink2">
          {f.low} … {f.high}
        </span>
      )}
      <button
        type="button"
        className={`origin-${f.origin} min-h-[20px] leading-tight hover:bg-paper2 ${big ? 'text-[20px] font-bold' : ''}`}
        aria-label={`${f.label} ${f.text} ${f.unit}, ${ORIGIN[f.origin]}: open the working`}
        onClick={() => openWorking(f.id)}
      >
        {f.text}
      </button>
      {unit && f.unit && <span className="ml-1 text-[11.5px] text-ink2">{f.unit}</span>}
    </span>
  );
}
