/** The solver of linear programs, for tests of what is handed one. */
export { solver } from "../../src/server/solver/highs";
export { warmSolver } from "../../src/server/solver/warm";
