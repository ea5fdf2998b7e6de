import { cutList, type CutProblem } from "../core/place/bench/cutList";
import { solver } from "../server/solver/highs";
import type { Work } from "./thread";

/** Plans a cut list off the server's own thread. */
export const work: Work = async (problem, look) => cutList(problem as CutProblem, await solver(), look);
