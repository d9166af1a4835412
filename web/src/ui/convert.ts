/**
 * The few conversions a page makes of what the server gives it in metres, millimetres, kilograms and degrees Celsius; all exact. Whatever
 * is a figure of the job comes in the farm's units already.
 */
const INCH_CM = 2.54;
const FOOT_M = 0.3048;
const POUND_KG = 0.45359237;
const ACRE_HA = 0.40468564224;

export const inchesOfMm = (mm: number) => mm / (10 * INCH_CM);
export const inchesOfCm = (cm: number) => cm / INCH_CM;
export const feetOfM = (m: number) => m / FOOT_M;
export const metresOfFeet = (feet: number) => feet * FOOT_M;
export const poundsOfKg = (kg: number) => kg / POUND_KG;
export const lbAcOfKgHa = (kgHa: number) => (kgHa / POUND_KG) * ACRE_HA;
export const kgHaOfLbAc = (lbAc: number) => (lbAc * POUND_KG) / ACRE_HA;
export const perAcreOfPerHectare = (perHa: number) => perHa * ACRE_HA;
export const fahrenheitOf = (celsius: number) => celsius * 1.8 + 32;
/** Of differences and degree days, without the 32 of the scale. */
export const fahrenheitDegreesOf = (celsius: number) => celsius * 1.8;
export const celsiusDegreesOf = (fahrenheit: number) => fahrenheit / 1.8;
