import { METRIC } from "../../src/core/units/dimensions";
import { worded, type Answer } from "../../src/features/frame/refusalWords";
import type { ActionResult } from "../../src/server/session/result";

/** What a command answers, in the words that a person reads. */
export const said = <Value>(result: ActionResult<Value>): Answer<Value> =>
  result.ok ? result : worded(result, METRIC);
