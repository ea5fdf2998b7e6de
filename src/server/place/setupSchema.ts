import Joi from "joi";
import { TIMER } from "@/core/garden/entities/pump";
import { PLACE_KIND_NAMES, type Setup } from "@/core/garden/setup/told";
import { TOLD_KIND_NAMES, toldKind, type ToldKindName } from "@/core/place/told/kinds";
import { schemaOf } from "../entities/joi";
import { choice, measure, note, rowId } from "../session/validation";

const MOST_SORTS = 20;

const side = (label: string) => measure(label, 0.1, 500, "m").allow(null);

const figures = Object.fromEntries(
  TOLD_KIND_NAMES.map((told) => [
    told,
    Joi.object(
      Object.fromEntries(
        toldKind(told).measures.map((one) => {
          const schema = schemaOf(one);
          // The end of a channel and the paths between go by themselves.
          return [one.name, one.name === "endM" || one.name === "pathEvery" ? schema.optional() : schema];
        }),
      ),
    ).required(),
  ]),
) as Readonly<Record<ToldKindName, Joi.ObjectSchema>>;

const stand = Joi.object({
  told: choice("Kind", ...TOLD_KIND_NAMES),
  figures: Joi.when("told", {
    switch: TOLD_KIND_NAMES.map((told) => ({ is: told, then: figures[told] })),
    otherwise: Joi.forbidden(),
  }),
  young: Joi.boolean().required().label("For young plants"),
});

export const setupSchema = Joi.object<Setup>({
  place: Joi.alternatives()
    .conditional(Joi.object({ houseId: Joi.exist() }).unknown(), {
      then: Joi.object({ houseId: rowId("House") }),
      otherwise: Joi.object({
        kind: choice("Place", ...PLACE_KIND_NAMES),
        name: note("Name", 80),
        lengthM: side("Length"),
        widthM: side("Width"),
      }),
    })
    .required()
    .label("Place"),
  stands: Joi.array().items(stand).min(1).max(MOST_SORTS).required().label("Stands"),
  tank: Joi.object({
    litres: measure("Tank", 1, 1_000_000, "L"),
    underOutletsM: measure("Under the outlets", -20, 100, "m"),
  })
    .required()
    .allow(null)
    .label("Tank"),
  pump: Joi.object({
    flowAtNoLiftLph: measure("Flow at no lift", 1, 1_000_000, "L/h"),
    greatestLiftM: measure("Greatest lift", 0.05, 500, "m"),
  })
    .required()
    .allow(null)
    .label("Pump"),
  timer: schemaOf(TIMER),
  system: choice("Measures", "metric", "us"),
});
