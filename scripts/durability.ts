import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { killingRounds, VICTIMS, type Victim } from "./lib/kills";

/**
 * `npm run durability`: 100 rounds of sudden kills while notes are written. In thirty of them each process is killed alone, one
 * after the other, and then all at once; in the others one of them. `npm run durability -- 10` takes a tenth.
 */
const ROUNDS = Number(process.argv[2] ?? 100);
const WHOLE = Math.ceil(0.3 * ROUNDS);

const victims: Victim[] = [
  ...Array.from({ length: WHOLE }, () => VICTIMS).flat(),
  ...Array.from({ length: ROUNDS - WHOLE }, (_, round) => VICTIMS[(round * 7) % VICTIMS.length]!),
];
const folder = mkdtempSync(join(tmpdir(), "seed-round-durability-"));
const backMs = new Map<Victim, number[]>();
let count = 0;
try {
  const tally = await killingRounds(folder, victims, (victim, ms) => {
    backMs.set(victim, [...(backMs.get(victim) ?? []), ms]);
    console.log(`${++count} of ${victims.length}: ${victim} killed, a page after ${ms} ms`);
  });
  console.log(`\n${ROUNDS} rounds, ${tally.kills} kills: ${tally.acknowledged} writes acknowledged, ${tally.lost} lost, ${tally.doubled} doubled (asked: 0 and 0)`); // prettier-ignore
  for (const [victim, times] of backMs)
    console.log(`  ${victim}: a page after ${median(times)} ms in the median, ${Math.max(...times)} at most, ${times.length} times`); // prettier-ignore
  console.log(`  slowest ${tally.slowestBackMs} ms from the start or the kill (asked: under 20 s); left running after the stop: ${tally.leftovers.length}`); // prettier-ignore
  if (tally.lost + tally.doubled + tally.leftovers.length > 0) process.exitCode = 1;
} finally {
  rmSync(folder, { recursive: true, force: true });
}

function median(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
}
