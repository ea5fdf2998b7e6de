"use client";
import { harvestOverYear, type SetUpFigures } from "@/core/garden/setup/figures";
import type { SetUp } from "@/core/garden/setup/setUp";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";

const LETTUCE = CROP_LIBRARY.find(({ name }) => name === "Lettuce, heads")!;
const MOST_DRUNK_LPD = Math.max(...CROP_LIBRARY.flatMap(({ stages }) => stages.map(({ needLpd }) => needLpd)));
/** So many times what any plant drinks is a mistake, or needs a drain that takes it. */
const FAR = 3;
const FOR_HEADS = new Set(["channel-bank", "raft-pond", "drip-beds", "flood-bench", "media-bed", "wicking-bed"]);

interface Row {
  readonly what: string;
  readonly figure: string;
  readonly tone?: "alarm" | "feed";
}

/** What a place that was told comes to, before anything is made. */
export function FirstAnswers({
  made,
  figures,
  latitudeDeg,
  units,
}: {
  readonly made: SetUp;
  readonly figures: SetUpFigures;
  readonly latitudeDeg: number;
  readonly units: UnitPreferences;
}) {
  const rows = [...plantRows(figures), ...weekRows(made, figures, latitudeDeg), ...waterRows(made, figures, units)];
  return (
    <dl aria-label="First answers" className="mt-3">
      {rows.map(({ what, figure, tone }) => (
        <div key={what} className="flex items-baseline justify-between gap-4 border-b border-rule py-2">
          <dt>{what}</dt>
          <dd className={`sign shrink-0 text-right text-xl ${tone ? TONES[tone] : ""}`}>{figure}</dd>
        </div>
      ))}
    </dl>
  );
}

const TONES = { alarm: "text-alarm", feed: "text-feed" } as const;

function plantRows({ young, toFinish, trays }: SetUpFigures): Row[] {
  const parts = [
    young > 0 && `${formatNumber(young)} young`,
    toFinish > 0 && (young > 0 ? `${formatNumber(toFinish)} to finish` : counted(toFinish, "plant")),
    trays > 0 && counted(trays, "tray"),
  ].filter(Boolean);
  return [{ what: "stand there at once", figure: parts.join(", ") }];
}

function weekRows({ stands }: SetUp, { toFinish }: SetUpFigures, latitudeDeg: number): Row[] {
  const onHeads = stands.filter(({ spec, young }) => !young && FOR_HEADS.has(spec.kind));
  if (onHeads.length === 0 || toFinish === 0) return [];
  const { brightest, darkest } = harvestOverYear(toFinish, LETTUCE, latitudeDeg);
  return [
    {
      what: "heads of lettuce a week, in the brightest month and in the darkest",
      figure: `${formatNumber(brightest)}, ${formatNumber(darkest)}`,
    },
  ];
}

function waterRows(
  { fillToL, runsBackL, recirculates, pipe }: SetUp,
  { pump, lines }: SetUpFigures,
  units: UnitPreferences,
): Row[] {
  const rows: Row[] = [];
  for (const { stand, getsLph, wantsLph, perPlantLpd, limited, lines: count } of lines) {
    const name = stand.toLowerCase();
    if (limited) {
      const isFarTooMuch = perPlantLpd > FAR * MOST_DRUNK_LPD;
      rows.push({
        what: `each plant in ${name} gets a day${isFarTooMuch ? `; the thirstiest crop of the library drinks ${quantityText(MOST_DRUNK_LPD, "volume", units)}, the rest drains` : ""}`,
        figure: quantityText(perPlantLpd, "volume", units),
        tone: isFarTooMuch ? "feed" : undefined,
      });
    }
    if (!limited)
      rows.push({
        what: `one of ${formatNumber(count)} ${name} gets (${quantityText(wantsLph, "lineFlow", units)} is usual)`,
        figure: pump ? quantityText(getsLph, "lineFlow", units) : "what does the pump’s label say?",
        tone: pump && getsLph < wantsLph / 2 ? "alarm" : undefined,
      });
  }
  if (pump)
    rows.push({
      what: `the pump, through ${pipe!.name}`,
      figure: `${PUMP_WORDS[pump.verdict]}${pump.measureIt ? "; measure it" : ""}`,
      tone: pump.verdict === "cannot-lift" || pump.verdict === "short" ? "alarm" : undefined,
    });
  if (fillToL !== null && recirculates)
    rows.push({
      what: "runs back when the pump stops",
      figure: `${quantityText(runsBackL, "volume", units)}: fill to ${quantityText(fillToL, "volume", units)}`,
      tone: "feed",
    });
  return rows;
}

const PUMP_WORDS = {
  "cannot-lift": "cannot lift that high",
  short: "gives less than is wanted",
  fits: "does",
  ample: "gives more than enough",
  "past-end": "gives more than its label tells",
} as const;
