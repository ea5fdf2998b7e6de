import type { GerminationFigure, LotWarning } from "@/core/garden/seed";
import { seedOnHandG } from "@/core/garden/seed";
import type { Variety } from "@/core/garden/garden";
import { daysToHalf } from "@/core/growth/germination";
import { dayInWords } from "@/core/units/day";
import type { SowingCounts } from "@/server/growth/queries";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Facts } from "./Facts";

interface SeedCardProps {
  readonly variety: Variety;
  readonly seed: GerminationFigure;
  readonly warnings: readonly LotWarning[];
  readonly counts: readonly SowingCounts[];
}

/** The seed of a crop: how much of it comes up, told and counted, how it is sown, and what is on the shelf. */
export function SeedCard({ variety, seed, warnings, counts }: SeedCardProps) {
  const units = useUnits();
  const { thinTo, seedsPerCell, soakH, depthM, lots } = variety;
  const inHundred = (share: number) => `${Math.round(share * 100)} in 100`;
  const rows: (readonly [string, string | null])[] = [
    [
      "in a cell",
      `${counted(seedsPerCell, variety.pelleted ? "pelleted seed" : "seed")}${thinTo !== null && thinTo < seedsPerCell ? `, thin to ${thinTo}` : ""}`,
    ],
    ["in a gram", formatNumber(variety.seedsPerG, 1)],
    ["deep", depthM === null ? null : quantityText(depthM, "smallLength", units)],
    ["comes up in", variety.germinatesIn === "either" ? "light or dark" : variety.germinatesIn],
    ["soak first", soakH === 0 ? "no" : counted(soakH, "hour")],
    ["up within", variety.upWithinDays === null ? null : counted(variety.upWithinDays, "day")],
    ["on the shelf", lots.length === 0 ? null : quantityText(seedOnHandG(lots), "mass", units)],
  ];
  const notUp = 1 - seed.used;
  return (
    <section aria-label="Its seed">
      <h2 className="text-2xl">Its seed</h2>
      <p className="mt-1">
        <span className="sign text-4xl">
          <Why
            label="Germination that sowings are worked out with"
            how="What was counted on the latest five sowings, with the figure of the packet or the profile as if it were fifty seeds more. Without a count that figure stands alone."
            inputs={[
              [seed.toldBy === "lot" ? "the lot in use, tested" : "told in the profile", inHundred(seed.told)],
              ...(seed.counted
                ? ([
                    ["counted", `${formatNumber(seed.counted.up)} of ${formatNumber(seed.counted.of)} up`],
                    ["sowings", String(seed.counted.sowings)],
                    ["of many such", `${inHundred(seed.counted.low)} to ${inHundred(seed.counted.high)}`],
                  ] as const)
                : []),
            ]}
          >
            {inHundred(seed.used)}
          </Why>
        </span>{" "}
        come up
        {notUp > 0.005 && <span className="text-soft">: one in {formatNumber(Math.round(1 / notUp))} does not</span>}
      </p>
      {seed.counted && (
        <p className="text-soft">
          {formatNumber(seed.counted.up)} of {formatNumber(seed.counted.of)} counted on{" "}
          {counted(seed.counted.sowings, "sowing")}; of many such {Math.round(seed.counted.low * 100)} to{" "}
          {Math.round(seed.counted.high * 100)} in 100.
          {!variety.learns && " It is not used: learning is off."}
        </p>
      )}
      {counts.length > 0 && (
        <ul aria-label="Counted sowings" className="text-sm">
          {counts.map((sowing) => (
            <li key={sowing.batchId}>{countWords(sowing)}</li>
          ))}
        </ul>
      )}
      {warnings.map((warning) => (
        <p key={warning.lot} role="alert" className="font-bold text-alarm">
          {lotWarningWords(warning)}
        </p>
      ))}
      <Facts rows={rows} />
    </section>
  );
}

/** A sowing on which seedlings were counted, and how fast they came. */
function countWords({ sownOn, counts }: SowingCounts): string {
  const { of, up, day: lastDay } = counts.at(-1)!;
  const words = `Sown ${dayInWords(sownOn)}: ${formatNumber(up)} of ${formatNumber(of)} up on ${dayInWords(lastDay)}`;
  // Counts of other seeds, or fewer than before, tell nothing of the speed.
  const isRising = counts.every((one, at) => {
    const before = counts[at - 1];
    return !before || (one.of === before.of && one.up >= before.up && one.day > before.day);
  });
  if (counts.length < 2 || !isRising || up === 0) return `${words}.`;
  const byDay = counts.map(({ day, up: count }) => ({ day: day - sownOn, up: count }));
  const half = daysToHalf(byDay, of).ofGerminated;
  return half === null ? `${words}.` : `${words}; half of those were there after ${formatNumber(half, 1)} days.`;
}

/** What to do about a lot that may not come up. */
export function lotWarningWords(warning: LotWarning): string {
  const test = "Test ten or twenty seeds on wet paper before you sow it.";
  switch (warning.kind) {
    case "poor":
      return `Lot ${warning.lot}: only ${Math.round(warning.germination * 100)} in 100 came up in its test. Sow more, or buy fresh.`;
    case "past-best-before":
      return `Lot ${warning.lot} is past its best-before of ${dayInWords(warning.on, "year")}. ${test}`;
    case "old":
      return `Lot ${warning.lot} came ${counted(warning.years, "year")} ago. ${test}`;
  }
}
