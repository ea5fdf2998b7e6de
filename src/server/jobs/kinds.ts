import { SEASON_JOB } from "../batches/seasonJob";
import { CUT_LIST_JOB } from "../place/cutListJob";
import { STORE_YEARS_JOB } from "../water/storeYearsJob";
import type { JobKind } from "./kind";

export const JOB_KINDS: Readonly<Record<string, JobKind>> = {
  "cut-list": CUT_LIST_JOB,
  season: SEASON_JOB,
  "store-years": STORE_YEARS_JOB,
};
