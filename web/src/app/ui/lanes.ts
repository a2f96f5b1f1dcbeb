/**
 * Puts spans into lanes so that none overlap; what finds no lane is left out and told.
 *
 * @param spans with their beginnings and ends in any unit
 * @param most lanes there are
 * @returns spans with their lanes, and how many found none
 */
export function lanes<T extends { readonly from: number; readonly to: number }>(spans: readonly T[], most: number) {
  const ends: number[] = [];
  const placed: (T & { readonly lane: number })[] = [];
  let leftOut = 0;
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const free = ends.findIndex((end) => end <= span.from);
    const lane = free >= 0 ? free : ends.length;
    if (lane >= most) {
      leftOut += 1;
      continue;
    }
    ends[lane] = span.to;
    placed.push({ ...span, lane });
  }
  return { placed, leftOut, count: ends.length };
}
