"use client";
import { useMemo } from "react";
import { harvestOverYear } from "@/core/garden/setup/figures";
import type { Setup, ToldStand } from "@/core/garden/setup/told";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { fillHouse, USUAL_RULES } from "@/core/place/layout/fillHouse";
import { number } from "@/core/place/kinds/shared";
import type { StandSpec } from "@/core/place/kinds";
import { standCounts } from "@/core/place/standCounts";
import { standLayout } from "@/core/place/standLayout";
import type { PlacedStand } from "@/core/place/stand";
import { toldKind, toldSpec, type ToldKindName } from "@/core/place/told/kinds";
import { preferredUnit, fromBase } from "@/core/units/dimensions";
import { formatNumber } from "@/core/units/format";
import { inUnit, spokenText } from "@/features/frame/blank/blanks";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { ToldSentence } from "@/features/frame/blank/ToldSentence";
import { toldMeasures } from "@/features/frame/blank/toldTemplates";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { StandsPicture } from "@/features/frame/plan/StandsPicture";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { AnswerFrame, type AnswerRow } from "./AnswerFrame";
import { answerKey, type AnswerContext } from "./context";
import { KeepStands } from "./KeepStands";
import { useKept } from "./useKept";

type Mode = "have" | "house";
const MODES = [
  { value: "have", label: "I have" },
  { value: "house", label: "I fill a house of" },
] as const;

const HOUSE_MEASURES = [
  number("houseLengthM", "House, length", "length", 0.5, 200),
  number("houseWidthM", "House, width", "length", 0.5, 200),
];

/** How many plants fit, on stands that are there or in a whole house. */
export function FitAnswer({ context }: { readonly context: AnswerContext }) {
  const [kept, keep] = useKept<{ mode: Mode; kind: ToldKindName }>("fit", { mode: "have", kind: "channels" });
  const { mode, kind } = kept;
  const isHouse = mode === "house";
  const without = useMemo(() => (isHouse ? ["lines"] : []), [isHouse]);
  const measures = useMemo(
    () => [...(isHouse ? HOUSE_MEASURES : []), ...toldMeasures(kind, !isHouse, without)],
    [isHouse, kind, without],
  );
  const first = useMemo(() => {
    const told = toldKind(kind);
    const own = told.measures.map((one) => [
      one.name,
      spokenText(told.first[context.units.system][one.name]!, one.dimension, context.units),
    ]);
    const us = context.units.system === "us";
    return { ...Object.fromEntries(own), houseLengthM: us ? "30 ft" : "9 m", houseWidthM: us ? "16 ft" : "5 m" };
  }, [kind, context.units]);
  const blanks = useBlanks(answerKey(`fit ${mode} ${kind}`), measures, first, context.units);
  const { good, units, typedUnits } = blanks;
  const found = useMemo(() => worked(mode, kind, good), [mode, kind, good]);
  const sites = found.stands.reduce((sum, { spec }) => sum + standCounts(spec).sites, 0);
  const counts = found.stands[0] ? standCounts(found.stands[0].spec) : null;
  const text = (value: number, like: string) => {
    const measure = measures.find(({ name }) => name === like);
    return inUnit(value, measure?.dimension ?? "length", typedUnits[like], units);
  };
  const lengthM = found.house?.lengthM ?? (found.stands[0] ? standLayout(found.stands[0].spec).lengthM : 0);
  const lengthWords = text(
    lengthM,
    isHouse ? "houseLengthM" : measures.some(({ name }) => name === "lengthM") ? "lengthM" : "",
  );
  return (
    <AnswerFrame
      problems={blanks.problems}
      units={units}
      sentence={
        <>
          <ChoiceBlank
            name="mode"
            label="What is there"
            value={mode}
            options={MODES}
            onValue={(next) => keep({ ...kept, mode: next })}
          />{" "}
          {isHouse && (
            <>
              <MeasureBlank blanks={blanks} name="houseLengthM" /> by{" "}
              <MeasureBlank blanks={blanks} name="houseWidthM" /> with
            </>
          )}
          <ToldSentence
            kind={kind}
            blanks={blanks}
            more={!isHouse}
            without={without}
            mark="."
            onKind={(next) => keep({ ...kept, kind: next })}
          />
        </>
      }
      figure={formatNumber(sites)}
      unit={kind === "shootTrays" ? (sites === 1 ? "tray" : "trays") : sites === 1 ? "plant" : "plants"}
      about={
        counts && sites > 0
          ? [
              isHouse && `${formatNumber(found.lines)} ${toldKind(kind).name} fit`,
              `${formatNumber(counts.sitesPerLine)} in each`,
              counts.slackM !== null &&
                counts.slackM >= 0.005 &&
                `${text(counts.slackM, "spacingM")} to spare at the far end`,
            ]
              .filter(Boolean)
              .join("; ")
          : "Not one fits with these measures."
      }
      rows={sites > 0 ? rowsOf(kind, found, sites, context, units) : []}
      how={HOW[mode]}
      picture={
        found.stands.length > 0 && (
          <StandsPicture
            stands={found.stands}
            house={found.house ? { ...found.house, name: "", cover: "film" } : undefined}
            label={`${formatNumber(sites)} plants on ${toldKind(kind).name}, to scale`}
            lengthWords={lengthWords}
            spacing={!isHouse && good.spacingM !== undefined ? { words: text(good.spacingM, "spacingM") } : undefined}
          />
        )
      }
      keep={
        <KeepStands
          context={context}
          isGood={blanks.problems.length === 0 && sites > 0}
          size={found.house}
          setup={(place): Setup => ({
            place,
            stands: toldStands(kind, good, found.stands),
            tank: null,
            pump: null,
            timer: { kind: "continuous" },
            system: units.system,
          })}
        />
      }
    />
  );
}

interface Found {
  readonly stands: readonly PlacedStand[];
  readonly lines: number;
  readonly house: { readonly lengthM: number; readonly widthM: number } | null;
}

function worked(mode: Mode, kind: ToldKindName, good: Readonly<Record<string, number>>): Found {
  const { houseLengthM, houseWidthM, ...told } = good;
  if (mode === "have") {
    const spec = toldSpec(kind, told);
    return {
      stands: [{ id: 1, name: "", xM: 0, yM: 0, turned: false, spec }],
      lines: standCounts(spec).lines,
      house: null,
    };
  }
  const house = { lengthM: houseLengthM!, widthM: houseWidthM! };
  const wall = USUAL_RULES.clearanceM;
  const room = {
    xM: wall,
    yM: wall,
    lengthM: Math.max(0, house.lengthM - 2 * wall),
    widthM: Math.max(0, house.widthM - 2 * wall),
  };
  const filling = fillHouse(room, toldSpec(kind, { ...toldKind(kind).first.metric, ...told }), USUAL_RULES);
  return {
    stands: filling.stands.map((stand, index) => ({ id: index + 1, name: "", ...stand })),
    lines: filling.lines,
    house,
  };
}

/** What was told, with the lines that were found to fit. */
function toldStands(
  kind: ToldKindName,
  good: Readonly<Record<string, number>>,
  stands: readonly { readonly spec: StandSpec }[],
): ToldStand[] {
  const names = new Set(toldKind(kind).measures.map(({ name }) => name));
  const figures = Object.fromEntries(Object.entries(good).filter(([name]) => names.has(name)));
  const young = kind === "seedTrays";
  if (good.lines !== undefined) return [{ told: kind, figures, young }];
  return stands.map(({ spec }) => ({
    told: kind,
    young,
    figures: { ...toldKind(kind).first.metric, ...figures, ...filledFigures(kind, spec) },
  }));
}

/** How many lines a filled stand has, and how long they became. */
function filledFigures(kind: ToldKindName, spec: StandSpec): Record<string, number> {
  const { lines } = standCounts(spec);
  const { lengthM } = standLayout(spec);
  const isLong = toldKind(kind).measures.some(({ name }) => name === "lengthM");
  return { lines, ...(isLong && { lengthM }) };
}

const LETTUCE = CROP_LIBRARY.find(({ name }) => name === "Lettuce, heads")!;
const TOMATO = CROP_LIBRARY.find(({ name }) => name === "Cherry tomato")!;
/** Kinds on which heads are grown; the others give no figure of that sort. */
const FOR_HEADS = new Set<ToldKindName>([
  "channels",
  "pipes",
  "rafts",
  "beds",
  "floodBenches",
  "mediaBeds",
  "wickingBeds",
]);

function rowsOf(
  kind: ToldKindName,
  { stands }: Found,
  sites: number,
  { latitudeDeg, latitudeIsKnown }: AnswerContext,
  units: AnswerContext["units"],
): AnswerRow[] {
  const groundM2 = stands.reduce((sum, { spec }) => {
    const { lengthM, widthM } = standLayout(spec);
    return sum + lengthM * widthM;
  }, 0);
  const area = preferredUnit("area", units);
  const rows: AnswerRow[] = [
    {
      what: `plants on a ${area.symbol}, with the paths between`,
      figure: formatNumber(sites / fromBase(groundM2, area), units.system === "us" ? 1 : 0),
    },
  ];
  const at = latitudeIsKnown ? "" : " (at 45° of latitude)";
  if (FOR_HEADS.has(kind)) {
    const { brightest, darkest } = harvestOverYear(sites, LETTUCE, latitudeDeg);
    rows.push(
      { what: `heads of lettuce a week in the brightest month${at}`, figure: formatNumber(brightest) },
      { what: "in the darkest", figure: formatNumber(darkest) },
    );
  }
  const drinker = FOR_HEADS.has(kind) ? LETTUCE : kind === "buckets" ? TOMATO : null;
  if (drinker)
    rows.push({
      what: `they drink on a warm day, as ${drinker === TOMATO ? "tomatoes" : "lettuce"}`,
      figure: inUnit(sites * drinker.stages.at(-1)!.needLpd, "volume", undefined, units),
    });
  return rows;
}

const HOW: Readonly<Record<Mode, readonly string[]>> = {
  have: [
    "Sites on a line: (length − both ends) ÷ spacing, rounded down, and one more. What is a millimetre too long still fits.",
    "Beds and rafts: rows across at the same spacing.",
    "A week’s harvest: sites ÷ weeks in place, in whole batches, with the library’s days for lettuce and 4 in 100 lost.",
    "A drink: litres a plant takes on a warm day when it is full grown; common practice.",
  ],
  house: [
    "Lines side by side with their gaps, a path of at least 0.6 m after every block, 0.3 m kept free along the walls; the better of both directions.",
    "Sites on a line: (length − both ends) ÷ spacing, rounded down, and one more.",
    "A week’s harvest: sites ÷ weeks in place, in whole batches, with the library’s days for lettuce and 4 in 100 lost.",
  ],
};
