/** Known to everybody: the demo garden lives in a database of its own, away from real gardens. */
export const DEMO_PASSWORD = "saltcote-yard";
