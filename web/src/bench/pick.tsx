import type { Evaluation, Plan, Schemas } from '../api/client';
import { addCover, removeCover } from '../plan/edit';
import { useOpenPlan } from '../plan/context';

type Cover = Schemas['CoverEntry'];
type Crop = Schemas['CropEntry'];

/** The name of a crop of the plan. */
export function useCropName() {
  const { knowledge } = useOpenPlan();
  return (c: Crop | undefined) => knowledge.crops.find((k) => k.id === c?.crop)?.name ?? 'crop';
}

/** The name of a crop with the year of its harvest, so that two of a rotation can be distinguished. */
export function useCropInTime() {
  const { state } = useOpenPlan();
  const name = useCropName();
  return (c: Crop | undefined) => {
    const seen = state.evaluation?.crops.find((x) => x.id === c?.id);
    const year = (seen?.harvested ?? seen?.planted)?.slice(0, 4);
    return year ? `${name(c)} ${year}` : name(c);
  };
}

/** The cover that stands ahead of a crop. */
export function coverAhead(plan: Plan, e: Evaluation | undefined, cropId: string | undefined) {
  return (
    plan.covers.find((c) => c.place.relation === 'before' && c.place.cropId === cropId) ??
    plan.covers.find((c) => e?.covers.find((v) => v.id === c.id)?.nextCropId === cropId)
  );
}

/** The crop to have in hand when none is chosen: one with a cover ahead, else with a window, else the last. */
export function firstInHand(plan: Plan, e: Evaluation | undefined): string | undefined {
  return (
    plan.crops.find((c) => coverAhead(plan, e, c.id))?.id ??
    e?.windows[0]?.beforeCropId ??
    plan.crops[plan.crops.length - 1]?.id
  );
}

/** The cover the bench is about, and a way to make or take it out. */
export function useCover(): { cover: Cover | undefined; chooser: React.ReactNode } {
  const { session, state, inHand } = useOpenPlan();
  const name = useCropName();
  const plan = state.plan;
  const cover = coverAhead(plan, state.evaluation, inHand);
  const window = state.evaluation?.windows.find(
    (w) => w.kind === 'between' && w.beforeCropId === inHand,
  );
  const before = name(plan.crops.find((c) => c.id === inHand)).toLowerCase();
  const chooser = cover ? (
    <button
      type="button"
      className="link text-[13px]"
      onClick={() => session.change((p) => removeCover(p, cover.id))}
    >
      remove this cover
    </button>
  ) : window && inHand ? (
    <button
      type="button"
      className="btn"
      onClick={() => session.change((p) => addCover(p, inHand)[0])}
    >
      Add a cover ahead of {before}
    </button>
  ) : (
    <span className="text-ink2 italic">
      A cover needs a window: set two crops with harvest and planting dates in step Rotation.
    </span>
  );
  return { cover, chooser };
}

/** The crop the bench is about. */
export function useCrop(): Crop | undefined {
  const { state, inHand } = useOpenPlan();
  return state.plan.crops.find((c) => c.id === inHand);
}
