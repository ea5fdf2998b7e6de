import { dayAt, timeAt } from "@/core/units/clockText";
import { dayInWords } from "@/core/units/day";

export interface BackupState {
  readonly lastAt: Date | null;
  readonly problem: string | null;
}

/** When the last backup worked, in words, by the garden's clock. */
export function backupWords({ lastAt, problem }: BackupState, timeZone: string): string {
  const at = lastAt && new Date(lastAt);
  const last = at && `${dayInWords(dayAt(at, timeZone))} at ${timeAt(at, timeZone)}`;
  if (problem) return `The last backup failed; the last that worked: ${last ?? "none yet"}.`;
  return last ? `Last backup: ${last}.` : "Not backed up yet.";
}
