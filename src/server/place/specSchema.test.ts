import { STAND_KINDS, STAND_MODELS } from "@/core/place/kinds";
import { fieldErrors, STRICT } from "../session/validation";
import { specSchema } from "./specSchema";

const errors = (spec: unknown) => {
  const { error } = specSchema.validate(spec, STRICT);
  return error ? fieldErrors(error) : {};
};
const numbers = STAND_KINDS.flatMap((kind) =>
  STAND_MODELS[kind].measures.flatMap((measure) =>
    measure.type === "number" ? [[kind, measure.name, measure] as const] : [],
  ),
);

test.each(STAND_KINDS)("the example of a %s is taken, one without a measure or with one too many is not", (kind) => {
  const { example, measures } = STAND_MODELS[kind];
  expect(errors(example)).toEqual({});
  for (const one of measures) {
    if ("initial" in one) continue;
    const { name } = one;
    const { [name as "kind"]: _gone, ...less } = example as unknown as Record<string, unknown>;
    expect(Object.keys(errors(less))).toContain(name);
  }
  expect(errors({ ...example, colour: "red" })).toEqual({ colour: expect.stringContaining("not asked for") });
});

test.each(numbers)("%s: %s says its value and its range when it is outside", (kind, name, measure) => {
  const { example } = STAND_MODELS[kind];
  const messageFor = (value: unknown) => errors({ ...example, [name]: value })[name];
  for (const value of [measure.least - 1, measure.greatest + 1]) {
    const message = messageFor(value);
    expect(message).toContain(`${measure.label} is ${value}`);
    expect(message).toContain("must");
  }
  expect(messageFor("wide")).toContain(`${measure.label} is not a number`);
  expect(messageFor(Number.NaN)).toMatch(new RegExp(`${measure.label.replaceAll(/[()]/gu, ".")} `, "u"));
  if (measure.whole) expect(messageFor(measure.least + 0.5)).toContain("must be a whole number");
});

test("choices and lists say what they take", () => {
  const bank = STAND_MODELS["channel-bank"].example;
  expect(errors({ ...bank, section: "oval" })).toEqual({ section: "Section must be one of rectangular, round" });
  const zone = { lengthM: 1, pitchM: 0.1, weeks: 1 };
  expect(errors({ ...bank, zones: Array(7).fill(zone) }).zones).toContain("has more than 6 rows");
  expect(errors({ ...bank, zones: [zone, { ...zone, weeks: 80 }] })).toEqual({
    "zones.1.weeks": "Weeks in it is 80; it must be from 0.1 to 52",
  });
  const beds = STAND_MODELS["wicking-bed"].example;
  expect(errors({ ...beds, mix: [{ name: "", parts: 1 }] })).toEqual({ "mix.0.name": "Medium is empty" });
});

test("measures that contradict one another are refused at the one that is too large", () => {
  expect(errors({ ...STAND_MODELS["raft-pond"].example, raftLengthM: 6 })).toEqual({
    raftLengthM: "Raft length is 6 m; it must not be longer than the pond",
  });
  expect(errors({ ...STAND_MODELS["media-bed"].example, waterDepthM: 0.4 })).toEqual({
    waterDepthM: "Flooded to is 0.4 m; it must not be deeper than the medium",
  });
  expect(errors({ ...STAND_MODELS.towers.example, towerDiameterM: 1 })).toEqual({
    towerDiameterM: "Tower diameter is 1 m; it must not be wider than the distance between towers",
  });
  expect(errors({ ...STAND_MODELS["drip-beds"].example, edgeMarginM: 0.6 })).toEqual({
    edgeMarginM: "Side margin is 0.6 m; two of it must not be wider than the bed",
  });
});
