import type { Plan, Schemas } from '../api/client';
import { addDays } from '../section/scale';

type Operation = Schemas['OperationEntry'];
type Params = Schemas['ParamsEntry'];
type Cover = Schemas['CoverEntry'];
type Crop = Schemas['CropEntry'];
export type Kind = Operation['kind'];
type When = Operation['when'];
type Place = Cover['place'];

export const newId = (letter: string) => letter + crypto.randomUUID().slice(0, 8);

/** A copy without members that are undefined: in a plan, absent means default. */
export function tidy<T extends object>(o: T): T {
  return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;
}

export const operationOf = (plan: Plan, kind: string, subject: string) =>
  plan.operations.find((o) => o.kind === kind && o.subject === subject);

export const pointerOf = (plan: Plan, kind: string, subject: string) =>
  `/operations/${plan.operations.findIndex((o) => o.kind === kind && o.subject === subject)}/params`;

/** Dates something; an empty day takes the operation out. */
export function setDay(plan: Plan, kind: string, subject: string, day: string): Plan {
  const rest = plan.operations.filter((o) => !(o.kind === kind && o.subject === subject));
  if (!day) return { ...plan, operations: rest };
  const old = operationOf(plan, kind, subject);
  if (old) {
    return {
      ...plan,
      operations: plan.operations.map((o) => (o === old ? { ...o, when: { on: day } } : o)),
    };
  }
  return {
    ...plan,
    operations: [...plan.operations, { id: newId('o'), kind, subject, when: { on: day } }],
  };
}

/** Dates something in one of its ways; an operation that is not there yet is made. */
export function setWhen(plan: Plan, kind: string, subject: string, when: When): Plan {
  const old = operationOf(plan, kind, subject);
  return old
    ? { ...plan, operations: plan.operations.map((o) => (o === old ? { ...o, when } : o)) }
    : { ...plan, operations: [...plan.operations, { id: newId('o'), kind, subject, when }] };
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
export function setParams(
  plan: Plan,
  kind: string,
  subject: string,
  change: Partial<Params>,
): Plan {
  return {
    ...plan,
    operations: plan.operations.map((o) =>
      o.kind === kind && o.subject === subject
        ? { ...o, params: tidy({ ...o.params, ...change }) }
        : o,
    ),
  };
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

/** Takes a crop out with its operations and the covers that stand by it. */
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
  return setParams(dated, 'sow', id, { method });
}

export const removeCover = (plan: Plan, id: string): Plan => ({
  ...plan,
  covers: plan.covers.filter((c) => c.id !== id),
  operations: plan.operations.filter((o) => o.subject !== id),
});

export const addPass = (plan: Plan, operation: string, day: string): Plan => ({
  ...plan,
  operations: [
    ...plan.operations,
    { id: newId('o'), kind: 'pass', when: { on: day }, params: { operation } },
  ],
});

/** Something that may be done more than once: stock on a cover, water on a stand. */
export const addDoing = (
  plan: Plan,
  kind: Kind,
  subject: string,
  day: string,
  params: NonNullable<Operation['params']>,
): Plan => ({
  ...plan,
  operations: [...plan.operations, { id: newId('o'), kind, subject, when: { on: day }, params }],
});

/** Changes one operation by its id. */
export const setDoing = (
  plan: Plan,
  id: string,
  change: { day?: string; params?: NonNullable<Operation['params']> },
): Plan => ({
  ...plan,
  operations: plan.operations.map((o) =>
    o.id === id
      ? {
          ...o,
          when: change.day ? { on: change.day } : o.when,
          params: change.params ? { ...o.params, ...change.params } : o.params,
        }
      : o,
  ),
});

export const removeOperation = (plan: Plan, id: string): Plan => ({
  ...plan,
  operations: plan.operations.filter((o) => o.id !== id),
});

/** Moves an entry of a list one place up or down. */
export function moved<T>(list: T[], index: number, by: -1 | 1): T[] {
  const to = index + by;
  const item = list[index];
  if (item === undefined || to < 0 || to >= list.length) return list;
  const rest = list.filter((_, i) => i !== index);
  return [...rest.slice(0, to), item, ...rest.slice(to)];
}
