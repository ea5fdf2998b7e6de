import { backupAlarm, backupWords } from "./backupWords";

const at = new Date("2027-09-01T02:10:00Z");

test("the last backup is told by the garden's clock; one that failed or is too old warns", () => {
  const well = { lastAt: at, problem: null, late: false };
  expect([backupWords(well, "Europe/Lisbon"), backupAlarm(well)]).toEqual(["Last backup: 1 Sep at 03:10.", false]);
  const late = { ...well, late: true };
  expect([backupWords(late, "UTC"), backupAlarm(late)]).toEqual([
    "No backup for more than two days; the last: 1 Sep at 02:10.",
    true,
  ]);
  const failed = { lastAt: null, problem: "The disk is full.", late: false };
  expect([backupWords(failed, "UTC"), backupAlarm(failed)]).toEqual([
    "Something is wrong with the backup; the last that worked: none yet.",
    true,
  ]);
  expect(backupWords({ lastAt: null, problem: null, late: false }, "UTC")).toBe("Not backed up yet.");
});
