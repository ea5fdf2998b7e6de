/**
 * Above this the roots want more oxygen than the water holds, and root rot spreads.
 * @source Benson and Krause 1984 for what water holds; growers' practice for the limit
 */
export const WARM_WATER_C = 25;
