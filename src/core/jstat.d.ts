declare module 'jstat' {
  interface JStat {
    normal: {
      pdf(x: number, mean: number, sd: number): number;
      cdf(x: number, mean: number, sd: number): number;
      inv(p: number, mean: number, sd: number): number;
    };
    gamma: { inv(p: number, shape: number, scale: number): number };
    beta: { inv(p: number, a: number, b: number): number };
    mean(values: readonly number[]): number;
    /** Of a sample: over n − 1. */
    stdev(values: readonly number[], sample: true): number;
    median(values: readonly number[]): number;
    studentt: { inv(p: number, dof: number): number };
    /** Regularised lower incomplete gamma function. */
    lowRegGamma(a: number, x: number): number;
  }
  const jStat: JStat;
  export default jStat;
}
