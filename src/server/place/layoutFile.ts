import {
  LAYOUT_FORMAT,
  LAYOUT_VERSION,
  layoutFaults,
  type LayoutDocument,
  type LayoutFault,
} from "@/core/place/layout/document";
import { STRICT } from "../session/validation";
import { layoutDocumentSchema } from "./layoutSchema";

export type ReadLayout =
  | { readonly kind: "layout"; readonly layout: LayoutDocument }
  | { readonly kind: "faults"; readonly faults: readonly LayoutFault[] };

const MOST_FAULTS = 20;

/** Reads a layout file. @returns the layout, or everything that is wrong with it and where, at most twenty */
export function parsedLayout(text: string, loops: readonly string[]): ReadLayout {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return faulty([notInFormat("", "This is not a JSON file: save it again from where it came, and try once more.")]);
  }
  const { format, version } = (typeof given === "object" && given !== null ? given : {}) as Record<string, unknown>;
  if (format !== LAYOUT_FORMAT)
    return faulty([notInFormat("format", `A layout file begins with "format": "${LAYOUT_FORMAT}".`)]);
  if (version !== LAYOUT_VERSION && version !== 1)
    return faulty([
      notInFormat(
        "version",
        `This file has version ${JSON.stringify(version) ?? "none"}; this program reads versions 1 and ${LAYOUT_VERSION}.`,
      ),
    ]);
  const checked = layoutDocumentSchema.validate(
    withCodes(version === 1 ? ofVersion1(given as Version1) : (given as object)),
    STRICT,
  );
  if (checked.error)
    return faulty(checked.error.details.map(({ path, message }) => notInFormat(pathWords(path), message)));
  const faults = layoutFaults(checked.value, loops);
  return faults.length > 0 ? faulty(faults) : { kind: "layout", layout: checked.value };
}

/** A file of version 1: its growing areas are called pools. */
interface Version1 {
  readonly pools?: unknown;
  readonly stands?: unknown;
}

function ofVersion1({ pools, stands, ...rest }: Version1): object {
  const renamed = Array.isArray(stands)
    ? stands.map((stand: unknown) => {
        if (typeof stand !== "object" || stand === null) return stand;
        const { pool, ...more } = stand as { pool?: unknown };
        return { ...more, growingArea: pool };
      })
    : stands;
  return { ...rest, version: LAYOUT_VERSION, growingAreas: pools, stands: renamed };
}

const CODES: Readonly<Record<string, string>> = { "stays full": "stays-full", "after each flood": "empties" };

/** Files from before choices were codes say how a media bed drains in words. */
function withCodes(given: object): object {
  const { stands } = given as { readonly stands?: unknown };
  if (!Array.isArray(stands)) return given;
  const coded = stands.map((stand: unknown) => {
    const { spec } = (stand ?? {}) as { readonly spec?: { readonly drains?: unknown } };
    const code = typeof spec?.drains === "string" ? CODES[spec.drains] : undefined;
    return code ? { ...(stand as object), spec: { ...spec, drains: code } } : stand;
  });
  return { ...given, stands: coded };
}

const notInFormat = (path: string, text: string): LayoutFault => ({ path, finding: { kind: "not-in-format", text } });

const faulty = (faults: readonly LayoutFault[]): ReadLayout => ({
  kind: "faults",
  faults: faults.slice(0, MOST_FAULTS),
});

/** `stands[3].spec.pitchM` */
function pathWords(path: readonly (string | number)[]): string {
  return path.map((part, index) => (typeof part === "number" ? `[${part}]` : index > 0 ? `.${part}` : part)).join("");
}
