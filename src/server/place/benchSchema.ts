import Joi from "joi";
import { MOST_BOUGHT_KINDS, MOST_PIECES } from "@/core/place/bench/cutList";
import type { Assembly } from "@/core/place/bench/assembly";
import { choice, edited, measure, note, rowId, text, version, whole, type Edited } from "../session/validation";

const MOST_ROWS = 60;

export interface CutListInput extends Edited {
  readonly name: string;
  readonly material: string;
  readonly sawCutMm: number;
  readonly trimMm: number;
  readonly leastOffcutMm: number;
  readonly objective: "money" | "bars";
  readonly usesOffcuts: boolean;
  readonly stocks: readonly { readonly lengthMm: number; readonly price: number }[];
  readonly pieces: readonly { readonly lengthMm: number; readonly count: number; readonly label: string }[];
}

const lengthMm = (label: string) => measure(label, 1, 100_000, "mm");

export const cutListSchema = Joi.object<CutListInput>({
  ...edited("Cut list"),
  name: text("Name"),
  material: text("Material"),
  sawCutMm: measure("Saw cut", 0, 50, "mm"),
  trimMm: measure("Taken off each end", 0, 1000, "mm"),
  leastOffcutMm: measure("Least useful offcut", 0, 100_000, "mm"),
  objective: choice("Wanted", "money", "bars"),
  usesOffcuts: Joi.boolean().required().label("Offcuts on hand"),
  stocks: Joi.array()
    .items(Joi.object({ lengthMm: lengthMm("Length on sale"), price: measure("Price", 0, 1_000_000, "") }))
    .max(MOST_BOUGHT_KINDS)
    .required()
    .label("Lengths on sale")
    .messages({ "array.max": `At most ${MOST_BOUGHT_KINDS} lengths on sale` }),
  pieces: Joi.array()
    .items(
      Joi.object({
        lengthMm: lengthMm("Length of a piece"),
        count: whole("Count", 1, MOST_PIECES),
        label: note("What for", 60),
      }),
    )
    .min(1)
    .max(MOST_ROWS)
    .required()
    .label("Pieces")
    .messages({ "array.min": "Give at least one piece" })
    .custom(notTooMany),
});

function notTooMany(pieces: CutListInput["pieces"], helpers: Joi.CustomHelpers) {
  // What is no piece has its own message.
  const all = pieces.reduce((sum, piece) => sum + (Number.isFinite(piece?.count) ? piece.count : 0), 0);
  return all > MOST_PIECES
    ? helpers.message({ custom: `${all} pieces are more than the ${MOST_PIECES} that one list takes` })
    : pieces;
}

export interface AssemblyInput {
  readonly listId: number;
  readonly version: number;
  readonly index: number | null;
  readonly assembly: Assembly;
}

export const assemblySchema = Joi.object<AssemblyInput>({
  listId: rowId("Cut list"),
  version,
  index: whole("Assembly", 0, 100).allow(null),
  assembly: Joi.object({
    name: text("Name"),
    pieces: Joi.array()
      .items(Joi.object({ lengthMm: lengthMm("Length of a piece"), count: whole("Count", 1, 500) }))
      .min(1)
      .max(20)
      .required()
      .label("Pieces")
      .messages({ "array.min": "Give at least one piece" }),
    fittings: Joi.array()
      .items(
        Joi.object({
          name: text("Fitting"),
          count: whole("Count", 1, 500),
          takeUpMm: measure("Take-up", -1000, 1000, "mm"),
          sides: whole("Sides", 1, 2),
        }),
      )
      .max(20)
      .required()
      .label("Fittings"),
    otherMm: measure("The other's length", 0, 100_000, "mm"),
    way: choice("Which goes into which", "takes-a-piece", "fits-a-space"),
  }).required(),
});
export const assemblyRemovalSchema = Joi.object<{ listId: number; version: number; index: number }>({
  listId: rowId("Cut list"),
  version,
  index: whole("Assembly", 0, 100),
});

export const cutListVersionSchema = Joi.object<{ id: number; version: number }>({ id: rowId("Cut list"), version });

export interface OffcutInput extends Edited {
  readonly material: string;
  readonly lengthMm: number;
  readonly count: number;
}
export const offcutSchema = Joi.object<OffcutInput>({
  ...edited("Offcut"),
  material: text("Material"),
  lengthMm: lengthMm("Length"),
  count: whole("How many", 1, 10_000),
});

export interface MaterialInput {
  readonly id: string;
  readonly onHand: number;
  readonly priceEach: number;
}
export const materialSchema = Joi.object<MaterialInput>({
  id: text("Item", 120),
  onHand: measure("On hand", 0, 10_000_000, ""),
  priceEach: measure("Price", 0, 1_000_000, ""),
});
export const spareSchema = Joi.object<{ spareShare: number }>({ spareShare: measure("Spare", 0, 1, "") });
