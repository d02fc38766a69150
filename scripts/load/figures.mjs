/** The value below which a share of the others lies. */
const quantile = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];

/** Timings by name, slowest first: how many, median and 95 of 100 in ms, and their ratio to the bare route. */
export function table(timings) {
  const bare = quantile(
    [...timings.get('bare route').ms].sort((a, b) => a - b),
    0.5,
  );
  const rows = [...timings]
    .map(([name, { ms, failed }]) => {
      const sorted = [...ms].sort((a, b) => a - b);
      const [p50, p95] = [quantile(sorted, 0.5), quantile(sorted, 0.95)];
      return { name, count: ms.length, p50, p95, failed };
    })
    .sort((a, b) => b.p95 - a.p95);
  const line = (cells) => cells.map((cell, i) => (i === 0 ? cell.padEnd(14) : cell.padStart(10))).join('');
  return [
    line(['', 'calls', 'p50 ms', 'p95 ms', 'p95/bare', 'failed']),
    ...rows.map(({ name, count, p50, p95, failed }) =>
      line([name, String(count), p50.toFixed(0), p95.toFixed(0), (p95 / bare).toFixed(0), String(failed)]),
    ),
  ].join('\n');
}
