/** What is used of a library that ships no types. */
declare module 'jstat' {
  interface Distributions {
    normal: {
      cdf: (x: number, mean: number, sd: number) => number;
      inv: (p: number, mean: number, sd: number) => number;
    };
    studentt: { inv: (p: number, freedom: number) => number };
    median: (values: number[]) => number;
  }
  export const jStat: Distributions;
  const whole: Distributions;
  export default whole;
}
