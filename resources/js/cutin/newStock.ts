/**
 * How much of the new part there is each morning when it is used from a day on, and nothing is ordered but what is on its way.
 * The picture follows the hand at once; what it costs is computed by the server.
 */
export function newStock(stock: number, coming: number[], demand: number[], ratio: number, from: number): number[] {
  let left = stock;
  return demand.map((wanted, at) => {
    const morning = left;
    left = Math.max(0, left + (coming[at] ?? 0) - (at >= from ? wanted * ratio : 0));
    return morning;
  });
}
