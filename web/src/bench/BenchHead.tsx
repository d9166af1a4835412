import type { ReactNode } from 'react';

import { useOpenPlan } from '../plan/context';
import { SelectField } from '../ui/inputs';
import { useCropInTime } from './pick';

/** The head of a step: its name, what it is for, and the window or crop it is about. */
export function BenchHead({
  title,
  aside,
  about,
  children,
}: {
  title: string;
  aside: string;
  about?: 'cover' | 'crop';
  children?: ReactNode;
}) {
  const { state, inHand, takeInHand } = useOpenPlan();
  const name = useCropInTime();
  const crops = state.plan.crops.filter(
    (c) => about === 'crop' || state.evaluation?.windows.some((w) => w.beforeCropId === c.id),
  );
  return (
    <div className="mb-2 flex min-h-[30px] flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-ink pb-1">
      <h2>{title}</h2>
      <span className="text-[13.5px] text-ink2 italic">{aside}</span>
      <span className="ml-auto flex flex-wrap items-center gap-3 text-[13.5px]">
        {children}
        {about && crops.length > 1 && (
          <SelectField
            hideLabel
            label={about === 'crop' ? 'Crop shown' : 'Window shown'}
            value={inHand ?? ''}
            onChange={takeInHand}
            options={crops.map((c) => ({
              id: c.id,
              name: about === 'crop' ? name(c) : `ahead of ${name(c).toLowerCase()}`,
            }))}
          />
        )}
      </span>
    </div>
  );
}
