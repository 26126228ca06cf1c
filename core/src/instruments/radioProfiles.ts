/** What a characteristic of a radio profile tells, in its own unit. */
export interface RadioReading {
  readonly unit: 'kg' | 'lb' | 'C' | 'F';
  readonly value: number;
}

/** Bluetooth SIG, Weight Scale Service 1.0: steps of 0.005 kg and 0.01 lb. From memory. */
const KG_STEP = 0.005;
const LB_STEP = 0.01;

/**
 * A Weight Measurement (characteristic 0x2A9D): flags, then the weight in steps.
 *
 * @returns nothing where it is too short, or says that it could not be measured
 */
export function readWeight(told: DataView): RadioReading | undefined {
  if (told.byteLength < 3) return undefined;
  const isImperial = (told.getUint8(0) & 1) === 1;
  const steps = told.getUint16(1, true);
  if (steps === 0xff_ff) return undefined;
  return isImperial ? { unit: 'lb', value: steps * LB_STEP } : { unit: 'kg', value: steps * KG_STEP };
}

/** Values of an IEEE 11073-20601 FLOAT that are no number. */
const NO_NUMBER = [0x7f_ff_ff, 0x80_00_00, 0x7f_ff_fe, 0x80_00_02, 0x80_00_01];

/**
 * A Temperature Measurement (characteristic 0x2A1C): flags, then a FLOAT of IEEE 11073-20601, a mantissa of 24 bits and an exponent
 * of ten in 8.
 *
 * @returns nothing where it is too short, or no number
 */
export function readTemperature(told: DataView): RadioReading | undefined {
  if (told.byteLength < 5) return undefined;
  const isFahrenheit = (told.getUint8(0) & 1) === 1;
  const bits = told.getUint32(1, true);
  const raw = bits & 0xff_ff_ff;
  if (NO_NUMBER.includes(raw)) return undefined;
  const mantissa = raw >= 0x80_00_00 ? raw - 0x1_00_00_00 : raw;
  return { unit: isFahrenheit ? 'F' : 'C', value: mantissa * 10 ** told.getInt8(4) };
}
