/** What neither a table of days nor warmth and light tell of a crop. */
export const NOT_MODELLED = ["bolting", "chilling", "cold-to-flower", "day-length"] as const;
export type NotModelled = (typeof NOT_MODELLED)[number];
