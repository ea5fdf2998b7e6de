/** Neighbours of rising numbers drawn together as [first, last]. @example runsOf([1, 2, 3, 7]) // [[1, 3], [7, 7]] */
export function runsOf(numbers: readonly number[]): [number, number][] {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && last[1] === number - 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs;
}
