import { useState } from 'react';

import type { Schemas } from '../api/client';
import { addCover, removeCover } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { SelectField } from '../ui/inputs';

type Cover = Schemas['CoverEntry'];
type Crop = Schemas['CropEntry'];

/** The name of a crop of the plan. */
export function useCropName() {
  const { knowledge } = useOpenPlan();
  return (c: Crop | undefined) => knowledge.crops.find((k) => k.id === c?.crop)?.name ?? 'crop';
}

/** The cover the bench is about, with a way to make one and to choose among several. */
export function useCover(): { cover: Cover | undefined; chooser: React.ReactNode } {
  const { session, state } = useOpenPlan();
  const [chosen, choose] = useState('');
  const name = useCropName();
  const plan = state.plan;
  const cover = plan.covers.find((c) => c.id === chosen) ?? plan.covers[0];
  const inTime = state.evaluation?.windows ?? [];
  const free = inTime.filter((w) => !plan.covers.some((c) => c.place.cropId === w.beforeCropId));
  const before = (cropId: string) => name(plan.crops.find((c) => c.id === cropId)).toLowerCase();
  const chooser = (
    <div className="mb-2 flex flex-wrap items-end gap-3 text-[13.5px]">
      {plan.covers.length > 1 && cover && (
        <SelectField
          label="Cover"
          value={cover.id}
          onChange={choose}
          options={plan.covers.map((c) => ({
            id: c.id,
            name: `ahead of ${before(c.place.cropId)}`,
          }))}
        />
      )}
      {plan.covers.length === 1 && cover && (
        <span className="text-ink2 italic">cover ahead of {before(cover.place.cropId)}</span>
      )}
      {free.map((w) => (
        <button
          key={w.id}
          type="button"
          className="btn"
          onClick={() => session.change((p) => addCover(p, w.beforeCropId)[0])}
        >
          Put a cover ahead of {before(w.beforeCropId)}
        </button>
      ))}
      {cover && (
        <button
          type="button"
          className="link"
          onClick={() => session.change((p) => removeCover(p, cover.id))}
        >
          take this cover out
        </button>
      )}
      {!cover && free.length === 0 && (
        <span className="text-ink2 italic">
          A cover needs a window: set two crops with harvest and planting dates in step Rotation.
        </span>
      )}
    </div>
  );
  return { cover, chooser };
}

/** The crop the bench is about; first the one that follows a cover. */
export function useCrop(): { crop: Crop | undefined; chooser: React.ReactNode } {
  const { state } = useOpenPlan();
  const [chosen, choose] = useState('');
  const name = useCropName();
  const plan = state.plan;
  const ahead = plan.covers[0]?.place.cropId;
  const crop =
    plan.crops.find((c) => c.id === chosen) ??
    plan.crops.find((c) => c.id === ahead) ??
    plan.crops[plan.crops.length - 1];
  const chooser = crop ? (
    <SelectField
      label="Crop"
      value={crop.id}
      onChange={choose}
      options={plan.crops.map((c) => ({ id: c.id, name: name(c) }))}
    />
  ) : (
    <p className="text-ink2 italic">No crop yet: step Rotation.</p>
  );
  return { crop, chooser };
}
