import { dayFromIso, dayInWords } from "@/core/units/day";

export interface BackupState {
  readonly lastAt: Date | null;
  readonly problem: string | null;
}

/** When the last backup worked, in words, by the garden's clock. */
export function backupWords({ lastAt, problem }: BackupState, timeZone: string): string {
  const part = (options: Intl.DateTimeFormatOptions, locale: string) =>
    new Intl.DateTimeFormat(locale, { timeZone, ...options }).format(new Date(lastAt!));
  const last =
    lastAt &&
    `${dayInWords(dayFromIso(part({ dateStyle: "short" }, "en-CA")))} at ${part({ hour: "2-digit", minute: "2-digit" }, "en-GB")}`;
  if (problem) return `The last backup failed; the last that worked: ${last ?? "none yet"}.`;
  return last ? `Last backup: ${last}.` : "Not backed up yet.";
}
