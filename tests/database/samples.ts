import { BATCHES_SAMPLES } from "./samples/batches";
import { FIRST_DAY_SAMPLES } from "./samples/firstDay";
import { GROWTH_SAMPLES } from "./samples/growth";
import type { Samples } from "./samples/lib";
import { PEOPLE_SAMPLES } from "./samples/people";
import { PLACE_SAMPLES } from "./samples/place";
import { ROUND_SAMPLES } from "./samples/round";
import { WATER_SAMPLES } from "./samples/water";

export { rowsOf, type Rows, type Sample } from "./samples/lib";

/** Every action of the application; a test compares this with the file system, so that a new one cannot be forgotten. */
export const SAMPLES: Samples = {
  ...PEOPLE_SAMPLES,
  ...PLACE_SAMPLES,
  ...WATER_SAMPLES,
  ...GROWTH_SAMPLES,
  ...BATCHES_SAMPLES,
  ...ROUND_SAMPLES,
  ...FIRST_DAY_SAMPLES,
};

/** Route handlers, and whether they answer without a session; none changes anything. */
export const ROUTES: Readonly<Record<string, "open" | "viewer">> = {
  healthz: "open",
  readyz: "open",
  places: "open",
  find: "viewer",
  live: "viewer",
  "(garden)/round/log.csv": "viewer",
  "(garden)/batches/plan.json": "viewer",
  "(garden)/place/layout.json": "viewer",
  "(garden)/place/layout.svg": "viewer",
  "(garden)/place/stands.csv": "viewer",
  "(garden)/feed/salts.csv": "viewer",
  "(garden)/growth/crops.csv": "viewer",
};
