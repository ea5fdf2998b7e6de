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
  } catch (error) {
    return faulty([{ path: "", message: `This is no JSON: ${(error as Error).message}.` }]);
  }
  const { format, version } = (typeof given === "object" && given !== null ? given : {}) as Record<string, unknown>;
  if (format !== LAYOUT_FORMAT) return faulty([{ path: "format", message: `A layout file begins with "format": "${LAYOUT_FORMAT}".` }]);
  if (version !== LAYOUT_VERSION)
    return faulty([{ path: "version", message: `This file has version ${JSON.stringify(version) ?? "none"}; this program reads version ${LAYOUT_VERSION}.` }]);
  const checked = layoutDocumentSchema.validate(given, STRICT);
  if (checked.error)
    return faulty(checked.error.details.map(({ path, message }) => ({ path: pathWords(path), message })));
  const faults = layoutFaults(checked.value, loops);
  return faults.length > 0 ? faulty(faults) : { kind: "layout", layout: checked.value };
} // prettier-ignore

const faulty = (faults: readonly LayoutFault[]): ReadLayout => ({
  kind: "faults",
  faults: faults.slice(0, MOST_FAULTS),
});

/** `stands[3].spec.pitchM` */
function pathWords(path: readonly (string | number)[]): string {
  return path.map((part, index) => (typeof part === "number" ? `[${part}]` : index > 0 ? `.${part}` : part)).join("");
}
