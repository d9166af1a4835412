import { describe, expect, test } from 'vitest';

import type { Plan } from '../api/client';
import {
  addCover,
  addCoverInto,
  addCrop,
  addPass,
  moved,
  moveOperation,
  moveSubject,
  operationOf,
  removeCover,
  removeCrop,
  removeOperation,
  setCover,
  setCrop,
  setDay,
  setEnding,
  setMembers,
  setSowPart,
  setSystem,
  setWhen,
} from './edit';
import { tidy } from '../ui/tidy';

const empty: Plan = {
  schemaVersion: 2,
  id: 'p',
  fieldId: 'f',
  crops: [],
  covers: [],
  operations: [],
  answers: [],
};

/** Two crops with a cover ahead of the second, all dated. */
function planted(): { plan: Plan; barley: string; corn: string; cover: string } {
  let plan = addCrop(addCrop(empty, 'winter-barley'), 'grain-corn');
  const [barley, corn] = plan.crops.map((c) => c.id) as [string, string];
  const [withCover, cover] = addCover(plan, corn);
  plan = setDay(setDay(withCover, 'sow', cover, '2026-08-01'), 'end', cover, '2027-05-01');
  plan = setDay(setDay(plan, 'sow', corn, '2027-05-12'), 'harvest', barley, '2026-07-10');
  return { plan, barley, corn, cover };
}

describe('editing a plan', () => {
  test('a date is set, moved and removed again', () => {
    const { plan, corn } = planted();
    const id = operationOf(plan, 'sow', corn)!.id;
    const later = setDay(plan, 'sow', corn, '2027-05-20');
    expect(operationOf(later, 'sow', corn)).toMatchObject({ id, when: { on: '2027-05-20' } });
    expect(operationOf(moveOperation(later, id, '2027-05-21'), 'sow', corn)?.when.on).toBe(
      '2027-05-21',
    );
    expect(operationOf(setDay(later, 'sow', corn, ''), 'sow', corn)).toBeUndefined();
  });

  test('moving a date keeps what the operation carries', () => {
    const { plan, corn } = planted();
    const deep = setMembers(plan, 'sow', corn, { depth: { value: 2, unit: 'in' } });
    expect(operationOf(setDay(deep, 'sow', corn, '2027-06-01'), 'sow', corn)?.depth).toEqual({
      value: 2,
      unit: 'in',
    });
  });

  test('a crop goes with its dates, its cover and the dates of that cover', () => {
    const { plan, corn, barley } = planted();
    const left = removeCrop(plan, corn);
    expect(left.crops.map((c) => c.id)).toEqual([barley]);
    expect(left.covers).toEqual([]);
    expect(left.operations.map((o) => o.subject)).toEqual([barley]);
  });

  test('a cover goes with its dates and leaves the crop', () => {
    const { plan, cover, corn } = planted();
    const left = removeCover(plan, cover);
    expect(left.operations.some((o) => o.subject === cover)).toBe(false);
    expect(operationOf(left, 'sow', corn)).toBeDefined();
  });

  test('absent means default: what is unset is not written', () => {
    const { plan, cover, corn } = planted();
    const aimed = setCover(plan, cover, { aims: ['mulch'] });
    expect(setCover(aimed, cover, { aims: undefined })).toEqual(plan);
    expect(setCrop(plan, corn, { yieldGoal: undefined })).toEqual(plan);
    expect(tidy({ a: 1, b: undefined })).toEqual({ a: 1 });
  });

  test('passes are added and removed by their id', () => {
    const { plan } = planted();
    const passed = addPass(plan, 'tandem-disc', '2027-04-01');
    const pass = passed.operations.find((o) => o.kind === 'pass')!;
    expect(pass).toMatchObject({ tool: 'tandem-disc' });
    expect(removeOperation(passed, pass.id)).toEqual(plan);
  });

  const full = {
    id: 'full-width',
    name: 'Full width',
    steps: [
      { operation: 'tandem-disc', daysBefore: 14 },
      { operation: 'field-cultivator', daysBefore: 1 },
      { operation: 'row-planter', daysBefore: 0 },
    ],
  };
  const none = {
    id: 'no-till',
    name: 'No-till',
    steps: [{ operation: 'no-till-planter', daysBefore: 0 }],
  };

  test('a system writes its passes, which follow the planting; another takes their place and no other’s', () => {
    const { plan, corn } = planted();
    const own = addPass(plan, 'rotary-hoe', '2027-06-01');
    const worked = setSystem(own, corn, full);
    const sow = operationOf(worked, 'sow', corn)!;
    expect(sow.tool).toBe('row-planter');
    expect(
      worked.operations.filter((o) => o.kind === 'pass').map((o) => [o.tool, o.when.offset?.days]),
    ).toEqual([
      ['rotary-hoe', undefined],
      ['tandem-disc', -14],
      ['field-cultivator', -1],
    ]);
    const free = setSystem(worked, corn, none);
    expect(free.operations.filter((o) => o.kind === 'pass')).toHaveLength(1);
    expect(operationOf(free, 'sow', corn)?.tool).toBe('no-till-planter');
  });

  test('a pass of a system is moved by itself, and goes with the planting it follows', () => {
    const { plan, corn } = planted();
    const worked = setSystem(plan, corn, full);
    const disc = operationOf(worked, 'pass', corn)!;
    const moved = moveOperation(worked, disc.id, '2027-04-02');
    expect(operationOf(moved, 'pass', corn)?.when).toEqual({ on: '2027-04-02' });
    const unplanted = setDay(worked, 'sow', corn, '');
    expect(unplanted.operations.some((o) => o.kind === 'pass')).toBe(false);
  });

  test('parts of a sowing come and go as wholes', () => {
    const { plan, cover } = planted();
    const spread = setSowPart(plan, cover, 'withSeed', { openerSpread: { value: 3, unit: 'cm' } });
    expect(operationOf(spread, 'sow', cover)?.withSeed).toEqual({
      openerSpread: { value: 3, unit: 'cm' },
    });
    expect(setSowPart(spread, cover, 'withSeed', { openerSpread: undefined })).toEqual(plan);
  });

  test('a second pass follows the first, and goes with it', () => {
    const { plan, cover } = planted();
    const rolled = setEnding(plan, cover, 0, { method: 'roller-crimper' });
    const twice = setEnding(rolled, cover, 1, { method: 'burndown', afterDays: 3 });
    expect(operationOf(twice, 'end', cover)?.passes).toMatchObject([
      { method: 'roller-crimper' },
      { method: 'burndown', afterDays: 3 },
    ]);
    expect(setEnding(twice, cover, 1, undefined)).toEqual(rolled);
    expect(operationOf(setEnding(twice, cover, 0, undefined), 'end', cover)?.passes).toEqual([]);
  });

  test('the plan given is never changed', () => {
    const { plan, corn, cover } = planted();
    const before = JSON.stringify(plan);
    removeCrop(plan, corn);
    setDay(plan, 'end', cover, '2027-01-01');
    setMembers(plan, 'sow', corn, { tool: 'x' });
    expect(JSON.stringify(plan)).toBe(before);
  });

  test('ranks move by one place and stop at the ends', () => {
    expect(moved(['a', 'b', 'c'], 1, -1)).toEqual(['b', 'a', 'c']);
    expect(moved(['a', 'b', 'c'], 1, 1)).toEqual(['a', 'c', 'b']);
    expect(moved(['a', 'b'], 0, -1)).toEqual(['a', 'b']);
    expect(moved(['a', 'b'], 1, 1)).toEqual(['a', 'b']);
  });

  test('a date can be meant by degree days, and dragging makes it a day again', () => {
    const { plan, corn } = planted();
    const warm = setWhen(plan, 'harvest', corn, { degreeDays: { sum: 1500 } });
    const harvest = operationOf(warm, 'harvest', corn)!;
    expect(harvest.when).toEqual({ degreeDays: { sum: 1500 } });
    const dragged = moveOperation(warm, harvest.id, '2027-10-04');
    expect(operationOf(dragged, 'harvest', corn)?.when).toEqual({ on: '2027-10-04' });
    const back = setWhen(dragged, 'harvest', corn, {
      countedBack: { from: '2027-10-01', days: 3 },
    });
    expect(back.operations).toHaveLength(dragged.operations.length);
  });

  test('a crop carried by some days takes its typed dates along and leaves the rest', () => {
    const { plan, corn, barley } = planted();
    const warm = setWhen(plan, 'harvest', corn, { degreeDays: {} });
    const later = moveSubject(warm, corn, 9);
    expect(operationOf(later, 'sow', corn)?.when.on).toBe('2027-05-21');
    expect(operationOf(later, 'harvest', corn)?.when).toEqual({ degreeDays: {} });
    expect(operationOf(later, 'harvest', barley)).toEqual(operationOf(warm, 'harvest', barley));
  });

  test('a cover put into a crop is sown in the way of its window', () => {
    const { plan, corn } = planted();
    const into = addCoverInto(plan, corn, 'interseeded', '2027-06-10', 'broadcast-incorporated');
    const cover = into.covers[into.covers.length - 1]!;
    expect(cover.place).toEqual({ relation: 'into', cropId: corn, kind: 'interseeded' });
    expect(operationOf(into, 'sow', cover.id)).toMatchObject({
      when: { on: '2027-06-10' },
      method: 'broadcast-incorporated',
    });
  });
});
