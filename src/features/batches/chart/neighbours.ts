import type { BlockRect } from "./chartGeometry";

/**
 * The block that an arrow key leads to: the nearest one whose middle lies that way, with distance across the way
 * counting double.
 */
export function neighbourOf(blocks: readonly BlockRect[], key: string, arrow: string): BlockRect | undefined {
  const from = blocks.find((block) => block.key === key);
  if (!from) return undefined;
  const middle = (block: BlockRect) => ({ x: block.x + block.width / 2, y: block.y + block.height / 2 });
  const here = middle(from);
  const reach = (block: BlockRect): number => {
    const { x, y } = middle(block);
    const [along, across] = {
      ArrowRight: [x - here.x, y - here.y],
      ArrowLeft: [here.x - x, y - here.y],
      ArrowDown: [y - here.y, x - here.x],
      ArrowUp: [here.y - y, x - here.x],
    }[arrow] ?? [0, 0];
    return along! > 0.5 ? along! + 2 * Math.abs(across!) : Infinity;
  };
  const best = blocks.reduce<{ block: BlockRect | undefined; reach: number }>(
    (nearest, block) => {
      const distance = block.key === key ? Infinity : reach(block);
      return distance < nearest.reach ? { block, reach: distance } : nearest;
    },
    { block: undefined, reach: Infinity },
  );
  return best.block;
}
