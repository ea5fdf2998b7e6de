import { STAND_KINDS, STAND_MODELS, type StandSpec } from "../../place/kinds";
import { choiceField, entity, numberField, textField, unionField } from "./field";

export const HOUSE = entity({
  table: "house",
  label: "House",
  right: "plan",
  placed: true,
  unique: ["name"],
  fields: [
    textField("name", "Name"),
    numberField("lengthM", "Length", "length", 0.5, 500),
    numberField("widthM", "Width", "length", 0.5, 500),
    numberField("heightM", "Height", "length", 0.3, 30),
    choiceField("cover", "Cover", ["net", "film", "glass", "polycarbonate", "open", "solid"], {
      open: "open, no walls",
      solid: "solid roof and walls",
    }),
    numberField("shadeShare", "Shade", "share", 0, 1, { initial: 0, hint: "what the net or paint keeps out" }),
    numberField("xM", "From the left of the garden", "length", 0, 10_000, { initial: 0 }),
    numberField("yM", "From its top", "length", 0, 10_000, { initial: 0 }),
  ],
});

export const GROWING_AREA = entity({
  table: "growing_area",
  label: "Growing area",
  right: "plan",
  placed: true,
  unique: ["name"],
  fields: [
    textField("name", "Name", { hint: "germination rack, nursery, leaf bank …" }),
    numberField("cleaningDays", "Cleaning between crops", "days", 0, 60, { initial: 0, whole: true }),
  ],
});

/** What a stand is measured by, by its kind. */
export const STAND_SPEC = unionField<StandSpec>()({
  name: "spec",
  label: "Kind of stand",
  kinds: Object.fromEntries(STAND_KINDS.map((kind) => [kind, STAND_MODELS[kind].measures])),
});

export const STAND = entity({
  table: "stand",
  label: "Stand",
  right: "plan",
  placed: true,
  unique: ["houseId", "name"],
  fields: [
    { type: "reference", name: "houseId", label: "House", to: "house" },
    textField("name", "Name"),
    { type: "reference", name: "growingAreaId", label: "Used for", to: "growing_area" },
    {
      type: "reference",
      name: "loopId",
      label: "Watered by",
      to: "loop",
      nullable: true,
      hint: "a loop is a tank and what it waters",
    },
    STAND_SPEC,
    numberField("xM", "From the left of the house", "length", 0, 500),
    numberField("yM", "From its top", "length", 0, 500),
    { type: "switch", name: "turned", label: "Turned by 90°", initial: false },
  ],
});
