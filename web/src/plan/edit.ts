import type { Plan, Schemas } from '../api/client';
import { addDays } from '../ui/days';
import { newId, tidy } from '../ui/tidy';

type Operation = Schemas['Operation'];
type Cover = Schemas['CoverEntry'];
type Crop = Schemas['CropEntry'];
export type Kind = Operation['kind'];
/** An operation of a kind. */
export type Of<K extends Kind> = Extract<Operation, { kind: K }>;
/** What a day alone can stand for. */
type Dated = 'sow' | 'end' | 'harvest';
/** Something that may be done more than once, with what it carries. */
export type Doing =
  | Omit<Of<'graze'>, 'id' | 'subject' | 'when'>
  | Pick<Of<'irrigate'>, 'kind' | 'depth'>
  | Pick<Of<'feed'>, 'kind' | 'material' | 'rate' | 'rateOf' | 'placement'>;
type When = Operation['when'];
type Place = Cover['place'];
type System = Schemas['PlantingSystemView'];
type Spray = Schemas['SprayEntry'];

export const operationOf = <K extends Kind>(plan: Plan, kind: K, subject: string) =>
  plan.operations.find((o): o is Of<K> => o.kind === kind && o.subject === subject);

export const pointerOf = (plan: Plan, kind: Kind, subject: string) =>
  `/operations/${plan.operations.findIndex((o) => o.kind === kind && o.subject === subject)}`;

const fresh = (kind: Dated, subject: string, when: When): Operation =>
  kind === 'end'
    ? { id: newId('o'), kind, subject, when, passes: [] }
    : { id: newId('o'), kind, subject, when };

/** Dates something; an empty day removes the operation. */
export function setDay(plan: Plan, kind: Dated, subject: string, day: string): Plan {
  const gone = operationOf(plan, kind, subject);
  if (!day) return gone ? removeOperation(plan, gone.id) : plan;
  const old = operationOf(plan, kind, subject);
  if (old) {
    return {
      ...plan,
      operations: plan.operations.map((o) => (o === old ? { ...o, when: { on: day } } : o)),
    };
  }
  return {
    ...plan,
    operations: [...plan.operations, fresh(kind, subject, { on: day })],
  };
}

/** Dates something in one of its ways; an operation that is not there yet is made. */
export function setWhen(plan: Plan, kind: Dated, subject: string, when: When): Plan {
  const old = operationOf(plan, kind, subject);
  return old
    ? { ...plan, operations: plan.operations.map((o) => (o === old ? { ...o, when } : o)) }
    : { ...plan, operations: [...plan.operations, fresh(kind, subject, when)] };
}

/** Moves an operation to another day. */
export const moveOperation = (plan: Plan, id: string, day: string): Plan => ({
  ...plan,
  operations: plan.operations.map((o) => (o.id === id ? { ...o, when: { on: day } } : o)),
});

/** Moves everything dated of a crop or cover by so many days; dates that follow others follow. */
export const moveSubject = (plan: Plan, subject: string, days: number): Plan => ({
  ...plan,
  operations: plan.operations.map((o) =>
    o.subject === subject && o.when.on && o.kind !== 'pass'
      ? { ...o, when: { on: addDays(o.when.on, days) } }
      : o,
  ),
});

/** Changes what an operation carries; without the operation there is nothing to change. */
export function setMembers<K extends Kind>(
  plan: Plan,
  kind: K,
  subject: string,
  change: Partial<Of<K>>,
): Plan {
  return {
    ...plan,
    operations: plan.operations.map((o) =>
      o.kind === kind && o.subject === subject ? (tidy({ ...o, ...change }) as Operation) : o,
    ),
  };
}

/** Changes members that lie within one of a sowing's; one of which nothing is left goes. */
export function setSowPart<P extends 'rows' | 'withSeed'>(
  plan: Plan,
  subject: string,
  part: P,
  change: Partial<NonNullable<Of<'sow'>[P]>>,
): Plan {
  const now = tidy({ ...operationOf(plan, 'sow', subject)?.[part], ...change });
  return setMembers(plan, 'sow', subject, {
    [part]: Object.keys(now).length > 0 ? now : undefined,
  });
}

/** Changes one of the passes that end a cover, or removes it; a first pass that goes takes those after it along. */
export function setEnding(
  plan: Plan,
  coverId: string,
  index: number,
  change: { method?: string; afterDays?: number } | undefined,
): Plan {
  const passes = operationOf(plan, 'end', coverId)?.passes ?? [];
  const old = passes[index];
  const rest = (from: number) => (index === 0 && !change ? [] : passes.slice(from));
  const method = change?.method ?? old?.method;
  const now = change && method ? [tidy({ id: newId('e'), ...old, ...change, method })] : [];
  return setMembers(plan, 'end', coverId, {
    passes: [...passes.slice(0, index), ...now, ...rest(index + 1)],
  });
}

/** Ends a cover on a day by passes, in place of what ended it. */
export function setEnd(
  plan: Plan,
  coverId: string,
  day: string,
  passes: { method: string; afterDays: number }[],
): Plan {
  return setMembers(setDay(plan, 'end', coverId, day), 'end', coverId, {
    passes: passes.map((p) => ({
      id: newId('e'),
      method: p.method,
      ...(p.afterDays > 0 ? { afterDays: p.afterDays } : {}),
    })),
  });
}

/** Says what is sprayed in one of the passes that end a cover; nothing where nothing is left of it. */
export function setSpray(plan: Plan, coverId: string, index: number, spray: Spray): Plan {
  const passes = operationOf(plan, 'end', coverId)?.passes ?? [];
  const said = tidy(spray);
  return setMembers(plan, 'end', coverId, {
    passes: passes.map((p, i) => {
      if (i !== index) return p;
      const rest = { ...p };
      delete rest.spray;
      return Object.keys(said).length > 0 ? { ...rest, spray: said } : rest;
    }),
  });
}

/** Puts a crop in by a planting system: its passes before the planting take the place of those of another system. */
export function setSystem(plan: Plan, cropId: string, system: System): Plan {
  const sow = operationOf(plan, 'sow', cropId);
  const planter = system.steps.at(-1);
  if (!sow || !planter) return plan;
  const kept = plan.operations.filter(
    (o) => !(o.kind === 'pass' && o.subject === cropId && o.system !== undefined),
  );
  const passes = system.steps.slice(0, -1).map((s): Of<'pass'> => ({
    id: newId('o'),
    kind: 'pass',
    subject: cropId,
    when: { offset: { from: sow.id, days: -s.daysBefore } },
    tool: s.operation,
    system: system.id,
  }));
  return setMembers({ ...plan, operations: [...kept, ...passes] }, 'sow', cropId, {
    tool: planter.operation,
  });
}

export const setCover = (plan: Plan, id: string, change: Partial<Cover>): Plan => ({
  ...plan,
  covers: plan.covers.map((c) => (c.id === id ? tidy({ ...c, ...change }) : c)),
});

export const setCrop = (plan: Plan, id: string, change: Partial<Crop>): Plan => ({
  ...plan,
  crops: plan.crops.map((c) => (c.id === id ? tidy({ ...c, ...change }) : c)),
});

export const addCrop = (plan: Plan, crop: string): Plan => ({
  ...plan,
  crops: [...plan.crops, { id: newId('c'), crop }],
});

/** Removes a crop with its operations and the covers that belong to it. */
export function removeCrop(plan: Plan, id: string): Plan {
  const gone = new Set([id, ...plan.covers.filter((c) => c.place.cropId === id).map((c) => c.id)]);
  return {
    ...plan,
    crops: plan.crops.filter((c) => c.id !== id),
    covers: plan.covers.filter((c) => !gone.has(c.id)),
    operations: plan.operations.filter((o) => !o.subject || !gone.has(o.subject)),
  };
}

export function addCover(plan: Plan, beforeCropId: string): [Plan, string] {
  const id = newId('v');
  const cover: Cover = { id, place: { relation: 'before', cropId: beforeCropId } };
  return [{ ...plan, covers: [...plan.covers, cover] }, id];
}

/** Puts a cover into a standing crop, sown on a day in the way of its window. */
export function addCoverInto(
  plan: Plan,
  cropId: string,
  kind: Place['kind'],
  sown: string,
  method: string,
): Plan {
  const id = newId('v');
  const cover: Cover = { id, place: { relation: 'into', cropId, kind } };
  const dated = setDay({ ...plan, covers: [...plan.covers, cover] }, 'sow', id, sown);
  return setMembers(dated, 'sow', id, { method });
}

export const removeCover = (plan: Plan, id: string): Plan => ({
  ...plan,
  covers: plan.covers.filter((c) => c.id !== id),
  operations: plan.operations.filter((o) => o.subject !== id),
});

export const addPass = (plan: Plan, tool: string, day: string): Plan => ({
  ...plan,
  operations: [...plan.operations, { id: newId('o'), kind: 'pass', when: { on: day }, tool }],
});

/** Adds something that may be done more than once: stock on a cover, water on a stand, nitrogen for a crop. */
export const addDoing = (plan: Plan, subject: string, day: string, what: Doing): Plan => ({
  ...plan,
  operations: [...plan.operations, { id: newId('o'), subject, when: { on: day }, ...what }],
});

/** Changes one operation by its id. */
export const setDoing = (
  plan: Plan,
  id: string,
  change: { day?: string; what?: Partial<Doing> },
): Plan => ({
  ...plan,
  operations: plan.operations.map((o) =>
    o.id === id
      ? ({ ...o, ...change.what, when: change.day ? { on: change.day } : o.when } as Operation)
      : o,
  ),
});

/** Removes an operation, with those whose day follows it. */
export const removeOperation = (plan: Plan, id: string): Plan => ({
  ...plan,
  operations: plan.operations.filter((o) => o.id !== id && o.when.offset?.from !== id),
});

/** Moves an entry of a list one place up or down. */
export function moved<T>(list: T[], index: number, by: -1 | 1): T[] {
  const to = index + by;
  const item = list[index];
  if (item === undefined || to < 0 || to >= list.length) return list;
  const rest = list.filter((_, i) => i !== index);
  return [...rest.slice(0, to), item, ...rest.slice(to)];
}
