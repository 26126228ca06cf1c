import { METRES_PER_FT } from '../measure/altitude';

/** Pressure at sea level in kPa, and how it falls with height. US Standard Atmosphere 1976, troposphere. */
const SEA_LEVEL_KPA = 101.325;
const LAPSE_PER_METRE = 2.255_77e-5;
const EXPONENT = 5.255_88;

/** Jelly sets at the boiling point of the place and so many degrees more. Handbook rule 12. */
const JELLY_ABOVE_BOILING_F = 8;

/** Air pressure at an altitude in a standard atmosphere, kPa. */
export function airPressureKpa(altitudeFt: number): number {
  return SEA_LEVEL_KPA * (1 - LAPSE_PER_METRE * altitudeFt * METRES_PER_FT) ** EXPONENT;
}

/** Coefficients of the saturation line. IAPWS R7-97 (IF97), table 34. */
const [N1, N2, N3, N4, N5, N6, N7, N8, N9, N10] = [
  0.116_705_214_527_67e4, -0.724_213_167_032_06e6, -0.170_738_469_400_92e2, 0.120_208_247_024_7e5,
  -0.323_255_503_223_33e7, 0.149_151_086_135_3e2, -0.482_326_573_615_91e4, 0.405_113_405_420_57e6,
  -0.238_555_575_678_49, 0.650_175_348_447_98e3,
] as const;

const KPA_PER_MPA = 1_000;
const ZERO_CELSIUS_K = 273.15;

/** The temperature at which water boils under a pressure, in Celsius. Source: IAPWS R7-97 (IF97), region 4, equation 31. */
export function saturationCelsius(pressureKpa: number): number {
  const beta = (pressureKpa / KPA_PER_MPA) ** 0.25;
  const e = beta * beta + N3 * beta + N6;
  const f = N1 * beta * beta + N4 * beta + N7;
  const g = N2 * beta * beta + N5 * beta + N8;
  const d = (2 * g) / (-f - Math.sqrt(f * f - 4 * e * g));
  return (N10 + d - Math.sqrt((N10 + d) ** 2 - 4 * (N9 + N10 * d))) / 2 - ZERO_CELSIUS_K;
}

/** Where water boils in a kitchen, in Fahrenheit: a standard atmosphere, whatever the weather does that day. */
export function boilingPointF(altitudeFt: number): number {
  return saturationCelsius(airPressureKpa(altitudeFt)) * 1.8 + 32;
}

/** Where jelly sets in a kitchen, in Fahrenheit. */
export function jellyPointF(altitudeFt: number): number {
  return boilingPointF(altitudeFt) + JELLY_ABOVE_BOILING_F;
}
