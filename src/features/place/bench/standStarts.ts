import { channelBankOf } from "@/core/place/kinds";
import { supportHeights } from "@/core/place/supportHeights";
import type { Stand } from "@/core/garden/garden";
import type { CutListStart } from "./CutListForm";

/** Cut lists that the garden's channel banks ask for: the channels themselves, and the legs under them. */
export function standStarts(stands: readonly Stand[]): CutListStart[] {
  return stands.flatMap(({ name, spec }): CutListStart[] => {
    const bank = channelBankOf(spec);
    if (!bank) return [];
    const mm = (metres: number) => Math.round(metres * 1000);
    const legs = supportHeights(bank.lineLengthM, bank.supportSpacingM, bank.fallOneIn, bank.outletHeightM);
    return [
      {
        name: `${name}, channels`,
        material: `${bank.section === "round" ? "pipe" : "channel"} ${mm(bank.channelWidthM)} mm`,
        pieces: [{ lengthMm: mm(bank.lineLengthM), count: bank.lines, label: "channel" }],
      },
      {
        name: `${name}, legs`,
        material: "leg tube",
        pieces: legs.map(({ heightM }, index) => ({
          lengthMm: mm(heightM),
          count: bank.lines,
          label: `support ${index + 1}`,
        })),
      },
    ];
  });
}
