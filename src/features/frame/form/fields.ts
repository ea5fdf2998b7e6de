import type { ReactNode } from "react";
import type { Dimension } from "@/core/units/dimensions";

interface Common {
  /** Path in the form's values: "name", "spec.pitchM". */
  readonly name: string;
  readonly label: string;
  readonly hint?: ReactNode;
  /** Shown only while this holds. */
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- each form knows the shape of its own values
  readonly when?: (values: any) => boolean;
  /** Takes the whole row. */
  readonly wide?: boolean;
  /** Folded away under this heading, with the others that have it. */
  readonly fold?: string;
}

/** What a form asks for. */
export type FieldSpec = Common &
  (
    | { readonly type: "text" | "password"; readonly autoComplete?: string }
    | { readonly type: "note" | "switch" | "day" }
    | { readonly type: "quantity"; readonly dimension: Dimension }
    | {
        readonly type: "choice";
        readonly options: readonly { readonly value: string | number | null; readonly label: string }[];
      }
    | {
        readonly type: "choices";
        readonly options: readonly { readonly value: string; readonly label: string }[];
      }
    | { readonly type: "months"; readonly dimension: Dimension }
    | { readonly type: "weekdays" }
    | { readonly type: "amounts"; readonly keys: readonly string[] }
    | {
        readonly type: "rows";
        readonly columns: readonly (
          | { readonly name: string; readonly label: string; readonly type: "text" }
          | { readonly name: string; readonly label: string; readonly type: "quantity"; readonly dimension: Dimension }
        )[];
        readonly fresh: Readonly<Record<string, unknown>>;
        readonly most: number;
        readonly addWords: string;
      }
  );
