/** How far a range of weights is from a weight asked for; the least is taken (CSS Fonts 4, 5.2). */
export function weightCost([from, to]: readonly [number, number], weight: number): number {
  if (weight >= from && weight <= to) return 0;
  const nearest = weight < from ? from : to;
  const way = Math.abs(nearest - weight);
  // 400 and 500 look at each other first, lighter ones go down, bolder ones up.
  if (weight >= 400 && weight <= 500) {
    if (nearest > weight && nearest <= 500) return way;
    return nearest < weight ? 1000 + way : 2000 + way;
  }
  return weight < 400 === nearest < weight ? way : 1000 + way;
}
