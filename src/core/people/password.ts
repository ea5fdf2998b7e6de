/** The fewest characters of a password. */
export const LEAST_PASSWORD = 10;
