import type { FeedSheet, RecipeSalt } from "../feed/feedSheet";
import type { LearnedEc } from "../feed/learnedEc";
import type { StrengthSchool } from "../feed/strengthSchool";
import type { Recipe } from "./garden";

/** How strong a loop is fed today, and by what. */
export interface LoopStrength {
  readonly school: StrengthSchool;
  readonly ecMsPerCm: number;
  readonly ecLow: number;
  readonly ecHigh: number;
  /** Nothing that stands there tells what the school asks for: the recipe's strength is kept. */
  readonly lacks: "plants" | "bands" | null;
}

/** A loop's recipe worked out with its water, salts and stocks. */
export interface LoopFeed {
  readonly recipe: Recipe;
  readonly salts: readonly RecipeSalt[];
  readonly sheet: FeedSheet;
  /** How strong it is made today, and by which school. */
  readonly strength: LoopStrength;
  /** How its fresh feed has read against what was worked out; null while the log tells too little. */
  readonly learnedEc: LearnedEc | null;
}
