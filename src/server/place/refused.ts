import type { NoRoom } from "@/core/garden/setup/setUp";
import type { WeatherProblem } from "@/core/place/climate/weatherFile";
import type { HouseClash } from "@/core/place/houseChecks";
import type { LayoutFault, LayoutFinding } from "@/core/place/layout/document";

/** Why something about houses, stands, layouts or cut lists is not saved. */
export type PlaceRefusal = { readonly room: "place" } & (
  | { readonly kind: "clash"; readonly clash: HouseClash }
  | { readonly kind: "no-plant-fits" }
  | { readonly kind: "no-room"; readonly stands: readonly NoRoom[] }
  | { readonly kind: "name-taken"; readonly part: "house" | "stand" | "growing-area" }
  | { readonly kind: "house-not-empty"; readonly house: string }
  | { readonly kind: "not-in-layout" }
  | { readonly kind: "part-gone"; readonly part: "house" | "stand" }
  | { readonly kind: "layout-faults"; readonly faults: readonly LayoutFault[] }
  | { readonly kind: "cannot-adopt"; readonly finding: LayoutFinding }
  | { readonly kind: "weather-faults"; readonly problems: readonly WeatherProblem[] }
  | { readonly kind: "prices-missing" }
  | { readonly kind: "no-bars" }
  | {
      readonly kind: "piece-too-long";
      readonly lengthMm: number;
      readonly longestMm: number;
      /** Whether bars on the shelf were looked at too. */
      readonly shelf: boolean;
    }
  | { readonly kind: "no-cut-plan" }
  | { readonly kind: "no-bar-gives"; readonly lengthsMm: readonly number[] }
  | { readonly kind: "shelf-short"; readonly lengthMm: number; readonly used: number; readonly there: number }
);
