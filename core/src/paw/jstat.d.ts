/** The part of jstat the tests ask. */
declare module 'jstat' {
  const jstat: {
    jStat: {
      poisson: { cdf: (k: number, mean: number) => number }
      negbin: { cdf: (k: number, r: number, p: number) => number }
    }
  }
  export default jstat
}
