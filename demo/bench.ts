import { channelBankOf } from "../src/core/place/kinds";
import { cutList, type CutProblem } from "../src/core/place/bench/cutList";
import { supportHeights } from "../src/core/place/supportHeights";
import { gardenRows } from "../src/server/garden/gardenRows";
import type { Db } from "../src/server/db/pool";
import { saveRow } from "../src/server/db/save";
import { solver } from "../src/server/solver/highs";

const BARS_MM = [3000, 6000];

/** The legs under the nursery bank, planned: the cut list that the demo garden has on its bench. */
export async function addCutList(db: Db, gardenId: number): Promise<void> {
  const { stands } = await gardenRows(db, gardenId);
  const { spec } = stands.find(({ name }) => name === "Nursery bank")!;
  const bank = channelBankOf(spec)!;
  const legs = supportHeights(bank.lineLengthM, bank.supportSpacingM, bank.fallOneIn, bank.outletHeightM);
  const pieces = legs.map(({ heightM }, index) => ({
    lengthMm: Math.round(heightM * 1000),
    count: bank.lines,
    label: `support ${index + 1}`,
  }));
  const problem: CutProblem = {
    sawCutMm: 3,
    trimMm: 0,
    objective: "bars",
    pieces,
    bars: BARS_MM.map((lengthMm) => ({ lengthMm, price: 0, onHand: null })),
  };
  const plan = cutList(problem, await solver());
  await saveRow(db, "cut_list", gardenId, null, {
    name: "Nursery bank, legs",
    material: "leg tube",
    saw_cut_mm: 3,
    trim_mm: 0,
    least_offcut_mm: 300,
    objective: "bars",
    uses_offcuts: true,
    stocks: JSON.stringify(BARS_MM.map((lengthMm) => ({ lengthMm, price: 0 }))),
    pieces: JSON.stringify(pieces),
    plan: JSON.stringify(plan),
  });
}
