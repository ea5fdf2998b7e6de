/**
 * What the tank of a loop is called, by the name of its loop.
 * @example tankName("Leaf") // "Leaf tank"
 * @example tankName("Fish tank") // "Fish tank"
 */
export function tankName(loopName: string): string {
  return /\btank$/iu.test(loopName.trim()) ? loopName : `${loopName} tank`;
}
