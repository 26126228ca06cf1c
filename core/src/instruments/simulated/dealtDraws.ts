import { type Draws, drawsFrom } from '../../math/draws';

const POOL = 1 << 16;

/**
 * Draws for the millions of readings of a simulated kitchen: dealt out of one pool, for each seed from another place and in
 * another stride.
 */
export function dealtDraws(poolSeed: number): (seed: number) => Draws {
  const pool = drawsFrom(poolSeed);
  const units = Float64Array.from({ length: POOL }, pool.unit);
  const normals = Float64Array.from({ length: POOL }, pool.normal);
  return (seed) => {
    let i = Math.floor(POOL * (units[seed % POOL] as number));
    const stride = 2 * Math.floor((POOL / 2) * (units[(seed + 7_919) % POOL] as number)) + 1;
    const next = () => (i = (i + stride) % POOL);
    return { ...pool, unit: () => units[next()] as number, normal: () => normals[next()] as number };
  };
}
