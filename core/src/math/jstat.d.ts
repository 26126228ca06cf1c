declare module 'jstat' {
  export const jStat: {
    normal: { cdf(x: number, mean: number, std: number): number };
    gamma: { cdf(x: number, shape: number, scale: number): number };
    poisson: { cdf(x: number, mean: number): number };
  };
}
