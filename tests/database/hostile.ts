import fc from "fast-check";

/** What nobody should type, and somebody will. */
export const hostile: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    undefined,
    true,
    "",
    " ",
    "\u0000",
    "a\u0000b",
    "\ud800",
    "𝕴𝖓",
    "‮gnol",
    "🥬".repeat(50),
    "NaN",
    "1e400",
    "0x10",
    "-1",
    "1;2",
    NaN,
    Infinity,
    -Infinity,
    -1,
    0,
    -0,
    1e-320,
    1e308,
    2 ** 53,
    2_147_483_648,
    0.1 + 0.2,
    [],
    {},
    [[]],
    { id: { $gt: "" } },
    { toString: "x" },
    10n,
    "'; drop table batch; --",
    "1 or 1=1",
    "$1",
    "%s%n",
    "<script>alert(1)</script>",
    "<img src=x onerror=alert(1)>",
    "{{7*7}}",
    "../../etc/passwd",
    "x".repeat(100_000),
    "2027-02-30",
    "9999-99-99",
    "-0001-01-01",
    "99999-01-01",
    new Date(NaN),
    Symbol.iterator.toString(),
    "__proto__",
    "constructor",
  ),
  fc.string({ unit: "binary", maxLength: 300 }),
  fc.double(),
  fc.array(fc.constant(null), { maxLength: 40 }),
);

/** All places in an input, as paths. */
export function paths(value: unknown, at: readonly string[] = []): (readonly string[])[] {
  if (typeof value !== "object" || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, part]) => paths(part, [...at, key]))];
}

/** The same input with something else in one place. */
export function put(value: unknown, path: readonly string[], bad: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return bad;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<string, unknown>;
  copy[key] = put(copy[key], rest, bad);
  return copy;
}
