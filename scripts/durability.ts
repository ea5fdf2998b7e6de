import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { killingRounds, VICTIMS, type Victim } from "./lib/kills";

/**
 * `npm run durability`: 100 rounds of sudden kills while notes are written, each process alone and all at once in turn.
 * `npm run durability -- 12` takes twelve.
 */
const ROUNDS = Number(process.argv[2] ?? 100);

const victims = Array.from({ length: ROUNDS }, (_, round): Victim => VICTIMS[round % VICTIMS.length]!);
const folder = mkdtempSync(join(tmpdir(), "seed-round-durability-"));
const backMs = new Map<Victim, number[]>();
let count = 0;
try {
  const tally = await killingRounds(folder, victims, (victim, ms) => {
    backMs.set(victim, [...(backMs.get(victim) ?? []), ms]);
    console.log(`${++count} of ${victims.length}: ${victim} killed, a page after ${ms} ms`);
  });
  console.log(
    `\n${tally.kills} rounds: ${tally.acknowledged} writes acknowledged, ${tally.lost} lost, ${tally.doubled} doubled (asked: 0 and 0)`,
  );
  for (const [victim, times] of backMs)
    console.log(
      `  ${victim}, ${times.length} times: a page after ${median(times)} ms in the median, ${Math.max(...times)} at most`,
    );
  console.log(
    `  slowest ${tally.slowestBackMs} ms from the kill, or from the start after it (asked: under 20 s); left running after the stop: ${tally.leftovers.length}`,
  );
  if (tally.lost + tally.doubled + tally.leftovers.length > 0) process.exitCode = 1;
} finally {
  rmSync(folder, { recursive: true, force: true });
}

function median(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
}
