/** Pearson's correlation of pairs, −1 to 1; null where either of them is the same all over. */
export function correlation(xs: readonly number[], ys: readonly number[]): number | null {
  const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
  const [mx, my] = [mean(xs), mean(ys)];
  let [sxy, sxx, syy] = [0, 0, 0];
  xs.forEach((x, i) => {
    sxy += (x - mx) * (ys[i] - my);
    sxx += (x - mx) ** 2;
    syy += (ys[i] - my) ** 2;
  });
  return sxx < 1e-12 || syy < 1e-12 ? null : sxy / Math.sqrt(sxx * syy);
}
