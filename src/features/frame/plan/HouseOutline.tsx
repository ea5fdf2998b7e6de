import type { House } from "@/core/garden/garden";

/** The walls of a house; a net is dashed. Its name is above it, outside. */
export function HouseOutline({
  house,
  pxPerM,
}: {
  house: Pick<House, "name" | "lengthM" | "widthM"> & { readonly cover: string };
  pxPerM: number;
}) {
  const sizeM = Math.min(0.9, 15 / pxPerM);
  return (
    <>
      <rect
        width={house.lengthM}
        height={house.widthM}
        className="fill-sheet stroke-ink"
        strokeWidth={2.5}
        vectorEffect="non-scaling-stroke"
        strokeDasharray={house.cover === "net" ? "9 5" : undefined}
      />
      <text x={0} y={-0.25} fontSize={sizeM} className="sign pointer-events-none fill-soft">
        {house.name}
      </text>
    </>
  );
}
