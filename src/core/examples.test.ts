import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { STAND_MODELS } from "./place/kinds";
import { dayFromIso, isoFromDay } from "./units/day";
import { METRIC } from "./units/dimensions";

const CORE = join("src", "core");
const files = readdirSync(CORE, { recursive: true, encoding: "utf8" }).filter(
  (name) => name.endsWith(".ts") && !name.endsWith(".test.ts"),
);

interface Example {
  readonly at: string;
  readonly call: string;
  readonly gives: string;
}

const examples = files.flatMap((file): Example[] =>
  [...readFileSync(join(CORE, file), "utf8").matchAll(/@example (.+?)(?: \*\/)?$/gmu)].map(([, text]) => {
    const [call, ...gives] = text!.split(" // ");
    return { at: file, call: call!, gives: gives.join(" // ") };
  }),
);

/** What examples may name besides the functions of their own file. */
const COMMON = { METRIC, STAND_MODELS, dayFromIso, isoFromDay };

function valueOf(text: string, scope: object): unknown {
  // The text is ours, out of a docstring.
  return new Function(...Object.keys(scope), `return (${text});`)(...Object.values(scope)) as unknown;
}

/** A figure is as exact as it is written: 12.1 is anything that rounds to it, a whole one is whole but for rounding. */
function asWritten(value: unknown, text: string): unknown {
  if (typeof value !== "number") return value;
  return expect.closeTo(value, text.includes(".") ? text.trim().split(".")[1]!.length : 9);
}

test("there are examples, each with what it gives", () => {
  expect(examples.length).toBeGreaterThan(45);
  expect(examples.filter(({ gives }) => gives === "")).toEqual([]);
});

test.each(examples)("$at: $call gives $gives", ({ at, call, gives }) => {
  const scope = { ...COMMON, ...jest.requireActual<object>(`./${at.replace(/\.ts$/u, "")}`) };
  const expected = valueOf(gives, scope);
  expect(valueOf(call, scope)).toEqual(asWritten(expected, gives));
});
