import { supportHeights } from "@/core/place/heldWater";
import type { Stand } from "@/server/place/queries";
import type { CutListStart } from "./CutListForm";

/** Cut lists that the garden's channel banks ask for: the channels themselves, and the legs under them. */
export function standStarts(stands: readonly Stand[]): CutListStart[] {
  return stands.flatMap(({ name, spec }): CutListStart[] => {
    if (spec.kind !== "channel-bank") return [];
    const mm = (metres: number) => Math.round(metres * 1000);
    const legs = supportHeights(spec.lineLengthM, spec.supportSpacingM, spec.fallOneIn, spec.outletHeightM);
    return [
      {
        name: `${name}, channels`,
        material: `${spec.section === "round" ? "pipe" : "channel"} ${mm(spec.channelWidthM)} mm`,
        pieces: [{ lengthMm: mm(spec.lineLengthM), count: spec.lines, label: "channel" }],
      },
      {
        name: `${name}, legs`,
        material: "leg tube",
        pieces: legs.map(({ heightM }, index) => ({ lengthMm: mm(heightM), count: spec.lines, label: `support ${index + 1}` })),
      },
    ];
  }); // prettier-ignore
}
