import type { Garden, SeasonSettings } from "../garden";
import { SEASON } from "../entities/batches";

/** The settings of a garden's season; the usual ones where nothing was told. */
export function seasonSettings({ season }: Pick<Garden, "season">): SeasonSettings {
  if (season) return season;
  const usual = SEASON.fields.map(({ name, initial }: { name: string; initial?: unknown }) => [name, initial ?? null]);
  return { id: 0, ...Object.fromEntries(usual) } as unknown as SeasonSettings;
}
