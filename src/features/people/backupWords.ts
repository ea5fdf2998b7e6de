import { dayAt, timeAt } from "@/core/units/clockText";
import { dayInWords } from "@/core/units/day";
import type { BackupState } from "@/server/session/session";

/** Whether somebody has to look: the newest backup failed, or the last that worked is too old. */
export function backupAlarm({ problem, late }: BackupState): boolean {
  return problem !== null || late;
}

/** When the last backup worked, in words, by the garden's clock. */
export function backupWords({ lastAt, problem, late }: BackupState, timeZone: string): string {
  const last = lastAt && `${dayInWords(dayAt(lastAt, timeZone))} at ${timeAt(lastAt, timeZone)}`;
  if (problem) return `Something is wrong with the backup; the last that worked: ${last ?? "none yet"}.`;
  if (!last) return "Not backed up yet.";
  return late ? `No backup for more than two days; the last: ${last}.` : `Last backup: ${last}.`;
}
