import { readdirSync } from "node:fs";
import { join } from "node:path";
import { CALLS, INSIDE, ANY_FINITE } from "./nonsenseCalls";

/** Every function that a file of the core exports, by "file#name". */
function exportedFunctions(): Map<string, (...args: unknown[]) => unknown> {
  const files = readdirSync(__dirname, { recursive: true, encoding: "utf8" }).filter(
    (file) => file.endsWith(".ts") && !file.endsWith(".test.ts") && !file.endsWith("nonsenseCalls.ts"),
  );
  const found = new Map<string, (...args: unknown[]) => unknown>();
  for (const file of files) {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- the list is not known beforehand
    const exported = require(join(__dirname, file)) as Record<string, unknown>;
    for (const [name, value] of Object.entries(exported))
      if (typeof value === "function" && /^[a-z]/u.test(name))
        found.set(`${file.replace(/\.ts$/u, "")}#${name}`, value as never);
  }
  return found;
}

const functions = exportedFunctions();

test("every exported function of the core is walked, or named as the inside of another", () => {
  const known = new Set([...Object.keys(CALLS), ...Object.keys(INSIDE)]);
  expect([...functions.keys()].filter((name) => !known.has(name))).toEqual([]);
  expect([...known].filter((name) => !functions.has(name))).toEqual([]);
});

type Path = readonly (string | number)[];
const isPlain = (value: unknown): value is Record<string, unknown> =>
  Array.isArray(value) ||
  (typeof value === "object" && value !== null && Object.getPrototypeOf(value) === Object.prototype);

/** Where the numbers are in what is given; of a long list the first and the last. Ids are names, not figures. */
function numbersIn(value: unknown, path: Path = []): Path[] {
  if (typeof value === "number") return [path];
  if (!isPlain(value)) return [];
  const keys = Array.isArray(value) ? [...new Set([0, value.length - 1])].filter((at) => at >= 0) : Object.keys(value);
  return keys.flatMap((key) =>
    /^(?:id|.*Id|index|year|month)$/u.test(String(key)) && path.length > 0
      ? []
      : numbersIn((value as Record<string | number, unknown>)[key], [...path, key]),
  );
}

function withNumber(value: unknown, path: Path, number: number): unknown {
  const [head, ...rest] = path;
  if (head === undefined) return number;
  if (Array.isArray(value))
    return value.map((part: unknown, at) => (at === head ? withNumber(part, rest, number) : part));
  return { ...(value as object), [head]: withNumber((value as Record<string, unknown>)[head], rest, number) };
}

/** "Impossible" is a value: a kind of its own, or a dash where a figure would stand. */
const IMPOSSIBLE = new Set<unknown>([
  "before-table",
  "cannot-lift",
  "never",
  "past-range",
  "recipe-too-weak",
  "too-long",
  "water-too-strong",
  "–",
]);

function isImpossible(answer: unknown): boolean {
  if (typeof answer !== "object" || answer === null)
    return (typeof answer === "string" && /^–|–$/u.test(answer)) || IMPOSSIBLE.has(answer);
  const { kind, figure } = answer as { kind?: unknown; figure?: unknown };
  return IMPOSSIBLE.has(kind) || IMPOSSIBLE.has(figure);
}

/** What was wrong with the answer to a call with nonsense in it; undefined when it was refused as it should be. */
function wrongWith(name: string, path: Path, number: number): string | undefined {
  const { args } = CALLS[name]!;
  const given = withNumber(args, path, number) as unknown[];
  const where = `${name} with ${path.join(".")} = ${number}`;
  try {
    const answer = functions.get(name)!(...given);
    if (isImpossible(answer)) return undefined;
    return Number.isFinite(number) && ANY_FINITE.has(name)
      ? undefined
      : `${where}: taken, ${JSON.stringify(answer)?.slice(0, 80)}`;
  } catch (error) {
    if (!(error instanceof RangeError)) return `${where}: ${(error as Error).name}: ${(error as Error).message}`;
    return /^\w+: .+ (?:is|take) .*; (?:it|they) must /u.test(error.message) ? undefined : `${where}: ${error.message}`;
  }
}

test.each(Object.keys(CALLS))(
  "%s refuses what is no number or out of all proportion, by name, value and range",
  (name) => {
    const call = CALLS[name]!;
    // As given it works: what is refused below is refused for its nonsense.
    expect(() => functions.get(name)!(...call.args)).not.toThrow();
    const faults = numbersIn(call.args)
      .filter((path) => !(call.but ?? []).includes(path.slice(1).join(".")))
      .flatMap((path) => [NaN, Infinity, -Infinity, -1e13, 1e15].map((number) => wrongWith(name, path, number)));
    expect(faults.filter((fault) => fault !== undefined)).toEqual([]);
  },
);
