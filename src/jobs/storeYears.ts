import { storeYears, type StoreYears } from "../core/water/supplyYears/storeYears";
import type { Work } from "./thread";

/** Carries a store through simulated years off the server's own thread. */
export const work: Work = async (given, look) => storeYears(given as StoreYears, look);
