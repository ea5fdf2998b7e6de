import { dayInWords } from "@/core/units/day";

export interface BackupState {
  readonly lastAt: Date | null;
  readonly problem: string | null;
}

/** When the last backup worked, in words. */
export function backupWords({ lastAt, problem }: BackupState): string {
  const at = lastAt && new Date(lastAt).toISOString();
  const last = at ? `${dayInWords(Math.floor(Date.parse(at) / 86_400_000))} at ${at.slice(11, 16)}` : null;
  if (problem) return `The last backup failed; the last that worked: ${last ?? "none yet"}.`;
  return last ? `Last backup: ${last}.` : "Not backed up yet.";
}
