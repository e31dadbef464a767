/**
 * How much of a part there is each morning with a cut-in on a day: until then as if there were none, and from then on what comes less what
 * is wanted, with nothing ordered but what is on its way. The picture follows the hand at once; what it costs is computed by the server.
 */
export function stockFrom(unchanged: number[], coming: number[], after: number[], at: number): number[] {
  let left = unchanged[at] ?? 0;
  return unchanged.map((morning, day) => {
    if (day < at) return morning;
    const now = left;
    left = Math.max(0, left + (coming[day] ?? 0) - (after[day] ?? 0));
    return now;
  });
}
