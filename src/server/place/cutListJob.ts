import type { CutList } from "@/core/place/bench/cutList";
import { NotFoundError } from "../db/pool";
import { refuseStale, saveRow } from "../db/save";
import type { JobKind } from "../jobs/kind";
import { RefusedError } from "../session/refusal";
import { cutLists, offcuts, problemOf } from "./benchQueries";

/** Plans a cut list as it stands in a version; the plan is kept if the list still stands so when it is found. */
export const CUT_LIST_JOB: JobKind = {
  file: "cutList.ts",
  prepare: async (db, gardenId, { id }) => {
    const list = (await cutLists(db, gardenId)).find((one) => one.id === id);
    if (!list) throw new NotFoundError("cut-list");
    return problemOf(list, await offcuts(db, gardenId));
  },
  keep: async (db, gardenId, { id, version }, found) => {
    const plan = found as CutList;
    if (plan.kind === "too-long")
      throw new RefusedError({ room: "place", kind: "no-bar-gives", lengthsMm: plan.lengthsMm });
    await refuseStale(db, "cut_list", { garden_id: gardenId, id: Number(id) }, Number(version));
    await saveRow(db, "cut_list", gardenId, Number(id), { plan });
  },
};
