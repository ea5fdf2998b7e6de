import { weatherProblemWords } from "@/features/growth/words";
import type { Guide } from "@/core/place/layout/snap";
import type { HouseClash, NarrowWay } from "@/core/place/houseChecks";
import type { StandFact, MaterialNeed } from "@/core/place/kinds/model";
import type { LayoutFinding } from "@/core/place/layout/document";
import type { StandFactKind, StandFinding, StandWaterHow } from "@/core/place/findings";
import { MONTHS } from "@/core/units/day";
import type { Dimension, UnitPreferences } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import type { NoRoom } from "@/core/garden/setup/setUp";
import type { PlaceRefusal } from "@/server/place/refused";

const numberText = new Intl.NumberFormat("en-GB", { maximumFractionDigits: 1 });
const inUnitsOf = (units: UnitPreferences) => (value: number, dimension: Dimension) =>
  quantityText(value, dimension, units);

/** A material and the sizes by which it is bought: "net cup, 50 mm". */
export function materialName({ what, sizes }: Pick<MaterialNeed, "what" | "sizes">, units: UnitPreferences): string {
  if (sizes.length === 0) return what;
  return `${what}, ${sizes.map(({ value, dimension }) => quantityText(value, dimension, units)).join(" × ")}`;
}

/** What is wrong or doubtful about a stand, in one or two sentences. */
export function standFindingWords(finding: StandFinding, units: UnitPreferences): string {
  const text = inUnitsOf(units);
  switch (finding.kind) {
    case "narrow-aisle":
      return `An aisle under ${text(finding.leastM, "length")} is hard to work in; ${text(finding.accessibleM, "length")} is accessible.`;
    case "past-reach":
      return `A block ${text(finding.blockM, "length")} wide is past the ${text(finding.twoSidesM, "length")} that arms reach from its two sides; from one side they reach ${text(finding.oneSideM, "length")}.`;
    case "thin-plastic":
      return `Only ${text(finding.plasticLeftMm, "bore")} of ${finding.part} is left between holes; ${text(finding.leastMm, "bore")} keeps it from tearing.`;
    case "thin-end":
      return `Only ${text(finding.endMm, "bore")} of channel is left before the first hole; ${text(finding.leastMm, "bore")} keeps it from tearing.`;
    case "no-site":
      return `The ${finding.part} is smaller than its margins: no plant fits.`;
    case "wide-hole":
      return "The hole is wider than the channel.";
    case "wide-buckets":
      return "The buckets are wider than their spacing.";
    case "wide-pots":
      return "The pots are wider than their pitch.";
    case "near-rows":
      return `Rows are so close that plants stand ${text(finding.acrossM, "smallLength")} apart across them, ${text(finding.pitchM, "smallLength")} along.`;
    case "dry-top":
      return `Water rises about ${text(finding.riseM, "length")} in common mixes; the top of ${text(finding.mediumDepthM, "length")} stays dry until roots reach down.`;
    case "wet-top":
      return `Water up to the top of the medium grows algae and rots stems; ${text(0.02, "smallLength")} to ${text(0.05, "smallLength")} stay dry in most beds.`;
    case "flat-fall":
      return "A fall under 1:100 lets the film pond.";
    case "steep-fall":
      return "A fall over 1:25 lets the film run thin.";
    case "high-inlet":
      return `The inlet end is ${text(finding.inletM, "length")} high: out of easy reach.`;
    case "long-channel":
      return `Water runs ${text(finding.lengthM, "length")} through channels one after another or one long one; past ${text(finding.mostM, "length")}, oxygen and nutrients run low.`;
    case "zones-length":
      return `The zones come to ${text(finding.zonesM, "length")}, the channel is ${text(finding.lineM, "length")} long.`;
    case "zone-overrun":
      return `Zone ${finding.zone} takes ${finding.takesPerWeek} plants a week, zone ${finding.zone - 1} passes on ${finding.passedOnPerWeek}.`;
    case "slow-fill":
      return `It takes ${text(finding.minutes, "minutes")} to fill: plants near the drain stand wet much longer than the others.`;
    case "slow-drain":
      return `It takes ${text(finding.minutes, "minutes")} to drain: roots are without air that long.`;
    case "no-raft":
      return "No raft of this size fits the pond.";
    case "open-water":
      return `${text(finding.openShare, "share")} of the water lies open between the rafts: light in it grows algae.`;
    case "shallow-pond":
      return `Water under ${text(finding.leastM, "length")} deep warms and runs out of oxygen quickly.`;
    case "no-tray":
      return "No tray fits on a shelf of this size.";
    case "rare-rinse":
      return `Sprouted seed that is rinsed less than once a day heats and spoils; ${finding.usualPerDay} rinses a day are usual.`;
    case "high-tier":
      return `The top tier is ${text(finding.topM, "length")} high: it takes a step to reach it. Stand it on firm, level ground.`;
    case "root-crops":
      return `Root crops (${finding.crops.join(", ")}) swell and block a film channel: give them a bed or a media bed.`;
    case "tank-overflows":
      return `When the pump stops, ${text(finding.drainBackL, "volume")} drain back and the tank of the ${finding.loopName.toLowerCase()} loop has ${text(finding.headspaceL, "volume")} of room: it overflows. Lower its normal fill level.`;
  }
}

interface FactWords {
  readonly label: string;
  readonly how: string;
}

const WHOLE_TIMES = (what: string) =>
  `Whole ${what} along times whole ${what} across, in the better of the two ways to turn them.`;

const FACTS: Readonly<Record<Exclude<StandFactKind, "shade-darkest" | "shade-brightest">, FactWords>> = {
  "row-gap": { label: "Row gap", how: "Width of the bed less both side margins, over the rows less one." },
  "nearest-neighbour": {
    label: "Nearest neighbour",
    how: "The least of pitch, row gap and, staggered, the slanting distance to the next row.",
  },
  "plastic-left": { label: "Plastic left between holes", how: "Nearest distance between two plants less the hole." },
  "raft-plastic-left": { label: "Plastic left between holes", how: "Pitch less the hole." },
  drop: { label: "Drop per run", how: "Length of the channel divided by the run of its fall." },
  "flow-per-plant": {
    label: "Flow per plant",
    how: "Flow of a channel over the plants in it, while its valve is open.",
  },
  "medium-per-plant": { label: "Medium per plant", how: "Volume of a bucket over the plants in it." },
  "medium-per-bed": { label: "Medium in a bed", how: "Length × width × depth." },
  flood: { label: "One flood takes", how: "Area × depth, less what pots and medium take up." },
  "fill-time": { label: "Fills in", how: "One flood over the flow." },
  "drain-time": {
    label: "Drains in",
    how: "Sharp-edged holes: 2·A·(√h₀ − √h₁) over C·a·√(2g), down to a millimetre.",
  },
  rafts: { label: "Rafts on a pond", how: WHOLE_TIMES("rafts") },
  "raft-rows": {
    label: "Rows on a raft",
    how: "Width less both margins over the distance of rows: the pitch, or hexagonal 0.866 of it.",
  },
  turnover: {
    label: "Water goes round in an hour",
    how: "Flow of a pond over the water in it: how many times an hour.",
  },
  "trays-on-shelf": { label: "Trays on a shelf", how: WHOLE_TIMES("trays") },
  trays: { label: "Trays in all", how: "Racks × shelves × trays on a shelf." },
  "rinse-water": {
    label: "Rinse water a day",
    how: "Trays × water for one rinse × rinses a day, with every tray full.",
  },
  "tower-height": { label: "Height", how: "First tier + tier to tier × (tiers − 1) + what is above the top tier." },
};

/** What a figure of a stand is called, and how it is worked out. */
export function standFactWords({ kind, noon }: StandFact): FactWords {
  if (kind !== "shade-darkest" && kind !== "shade-brightest") return FACTS[kind];
  const sun = noon ? `Sun ${noon.elevationDeg.toFixed(0)}° high in ${MONTHS[noon.month]!}, taken` : "Sun taken";
  return {
    label: `Tiers shaded at noon, ${kind === "shade-darkest" ? "darkest" : "brightest"} month`,
    how: `${sun} in the plane of the row: a tier is shaded when it is lower than the neighbour's top tier − (spacing − diameter) · tan of that.`,
  };
}

/** How the water that a stand holds, and gives back, is worked out. */
export const STAND_WATER_WORDS: Readonly<Record<StandWaterHow, string>> = {
  drip: "Drip lines run to waste or into the ground; nothing comes back.",
  wicking:
    "Length × width × depth of the reservoirs × the room that the filling leaves. What the medium itself holds comes on top.",
  channels:
    "Held: the wedge behind the dam of each channel, which reaches as far up as the dam is high times the run of the fall. Running back: width × depth of the film (4 mm) × length of all channels.",
  buckets: "The medium holds the water; nothing comes back to a tank.",
  benches: "One flood × the benches that are flooded at once: it all comes back.",
  "media-full": "Length × width × water depth × the room between the medium, of all beds.",
  "media-drains":
    "Length × width × water depth × the room between the medium, of the beds flooded at once: it all comes back.",
  ponds:
    "Length × width × depth of the water. A pond keeps its water when the pump stops, as long as its outlet is at the water's level.",
  trays: "Watered by hand; nothing comes back.",
  rinsed: "Rinsed by hand and drained to waste; nothing comes back to a tank.",
  towers: "Towers × the water on its way down one while it runs.",
};

/** Stands that overlap, or one that reaches out of its house. */
export function clashWords(clash: HouseClash, units: UnitPreferences): string {
  if (clash.kind === "overlap") return `${clash.names[0]} and ${clash.names[1]} overlap.`;
  const text = (metres: number) => quantityText(metres, "length", units);
  const { name, rect, house } = clash;
  const span = (from: number, size: number) => `${text(from)} to ${text(from + size)}`;
  return `${name} reaches outside the house: it needs ${span(rect.xM, rect.lengthM)} along and ${span(rect.yM, rect.widthM)} across, the house is ${text(house.lengthM)} by ${text(house.widthM)}.`;
}

export function narrowWayWords({ names, wayM, leastM }: NarrowWay, units: UnitPreferences): string {
  const text = (metres: number) => quantityText(metres, "length", units);
  return `Between ${names[0]} and ${names[1]} ${text(wayM)} is left: too narrow to walk, ${text(leastM)} is the least.`;
}

/** What a moved edge has come to rest on. */
export function guideWords({ kind, aisleM }: Pick<Guide, "kind" | "aisleM">, units: UnitPreferences): string {
  if (kind === "aisle") return `aisle of ${quantityText(aisleM ?? 0, "length", units)}`;
  return { wall: "at the wall", "in-line": "in line", touching: "touching" }[kind];
}

const PART_WORDS = { house: "house", stand: "stand", "growing-area": "growing area", loop: "loop" } as const;

/** What is wrong with a layout. */
export function layoutFindingWords(finding: LayoutFinding, units: UnitPreferences): string {
  switch (finding.kind) {
    case "outside":
    case "overlap":
      return clashWords(finding, units);
    case "names-nothing": {
      const { part, stand, name } = finding;
      if (part === "loop") return `${stand} is watered by “${name}”, which is not a loop of the garden.`;
      return part === "house"
        ? `${stand} is in “${name}”, which is not a house of this layout.`
        : `${stand} is used for “${name}”, which is not a growing area of this layout.`;
    }
    case "name-twice":
      return `There are two ${PART_WORDS[finding.part]}s called “${finding.name}”.`;
    case "no-plant-fits":
      return `With the measures of ${finding.stand} no plant fits.`;
    case "not-in-format":
      return finding.text;
  }
}

/** What has no room, and by how much. */
export function noRoomWords({ stand, missingLengthM, missingWidthM }: NoRoom, units: UnitPreferences): string {
  const text = (metres: number) => quantityText(metres, "length", units);
  const ways = [
    missingLengthM !== null && `${text(missingLengthM)} longer`,
    missingWidthM !== null && `${text(missingWidthM)} wider`,
  ].filter(Boolean);
  return ways.length > 0
    ? `No room for ${stand.toLowerCase()}: the place would have to be ${ways.join(", or ")}.`
    : `No room for ${stand.toLowerCase()}: the place is too short and too narrow for them.`;
}

/** Why something about the place was not saved. */
export function placeRefusalWords(refusal: PlaceRefusal, units: UnitPreferences): string {
  const text = inUnitsOf(units);
  switch (refusal.kind) {
    case "clash":
      return clashWords(refusal.clash, units);
    case "no-plant-fits":
      return "With these measures no plant fits.";
    case "no-room":
      return refusal.stands.map((stand) => noRoomWords(stand, units)).join(" ");
    case "name-taken":
      return `Another ${PART_WORDS[refusal.part]} ${refusal.part === "stand" ? "in this house " : ""}has this name.`;
    case "house-not-empty":
      return `${refusal.house} has stands in it: delete or move them first.`;
    case "not-in-layout":
      return "It refers to something that is not in this layout.";
    case "part-gone":
      return `This ${refusal.part} is no longer in the layout.`;
    case "layout-faults":
      return refusal.faults
        .map(({ path, finding }) => {
          const words = layoutFindingWords(finding, units);
          return path ? `${path}: ${words}` : words;
        })
        .join("\n");
    case "cannot-adopt":
      return `This layout cannot be adopted: ${layoutFindingWords(refusal.finding, units)}`;
    case "weather-faults":
      return refusal.problems.map((problem) => weatherProblemWords(problem)).join("\n");
    case "prices-missing":
      return "For the least money every length on sale needs its price.";
    case "no-bars":
      return "Give at least one length on sale, or put bars of this material on the shelf.";
    case "piece-too-long": {
      const { lengthMm, longestMm, shelf } = refusal;
      return `A piece of ${text(lengthMm, "bore")} is longer than any bar on sale${shelf ? " or on the shelf" : ""} gives (${text(longestMm, "bore")}).`;
    }
    case "no-cut-plan":
      return "Plan the cuts first: there is no plan yet.";
    case "no-bar-gives":
      return `No bar gives ${refusal.lengthsMm.map((mm) => text(mm, "bore")).join(", ")}.`;
    case "shelf-short":
      return `The plan takes ${numberText.format(refusal.used)} of ${text(refusal.lengthMm, "bore")} from the shelf, and there ${refusal.there === 1 ? "is" : "are"} ${refusal.there}. Plan it again.`;
  }
}
