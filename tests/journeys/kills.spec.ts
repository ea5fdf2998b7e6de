import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { killingRounds, VICTIMS } from "../../scripts/lib/kills";

const ROUNDS = 3;

test("each process killed alone, and all at once: pages come back, no note is lost or doubled, nothing is left after a stop", async () => {
  const folder = mkdtempSync(join(tmpdir(), "seed-round-kills-"));
  try {
    const tally = await killingRounds(folder, Array.from({ length: ROUNDS }, () => VICTIMS).flat());
    expect(tally).toMatchObject({ kills: ROUNDS * VICTIMS.length, lost: 0, doubled: 0, leftovers: [] });
    expect(tally.acknowledged).toBeGreaterThan(50);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
