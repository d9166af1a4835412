import { describe, expect, test } from 'vitest';

import * as convert from './convert';

/** Against the exact definitions: an inch is 25.4 mm, a pound 0.45359237 kg, an acre 43,560 square feet. */
describe('conversions', () => {
  test('are those of the definitions', () => {
    expect(convert.inchesOfMm(25.4)).toBeCloseTo(1, 12);
    expect(convert.inchesOfCm(2.54)).toBeCloseTo(1, 12);
    expect(convert.feetOfM(0.3048)).toBeCloseTo(1, 12);
    expect(convert.metresOfFeet(10)).toBeCloseTo(3.048, 12);
    expect(convert.poundsOfKg(0.45359237)).toBeCloseTo(1, 12);
    const acreHa = (43_560 * 0.3048 ** 2) / 10_000;
    expect(convert.lbAcOfKgHa(0.45359237 / acreHa)).toBeCloseTo(1, 10);
    expect(convert.kgHaOfLbAc(1)).toBeCloseTo(0.45359237 / acreHa, 10);
    expect(convert.perAcreOfPerHectare(1 / acreHa)).toBeCloseTo(1, 10);
  });

  test('know a temperature from a difference of two', () => {
    expect(convert.fahrenheitOf(-40)).toBe(-40);
    expect(convert.fahrenheitOf(100)).toBe(212);
    expect(convert.fahrenheitDegreesOf(100)).toBe(180);
    expect(convert.celsiusDegreesOf(convert.fahrenheitDegreesOf(7))).toBeCloseTo(7, 12);
  });
});
