/** Standard acceleration of gravity, exact by definition (3rd CGPM, 1901). */
export const GRAVITY_M_PER_S2 = 9.80665;
export const WATER_KG_PER_M3 = 1000;
