/** Says to the runner of this process, where there is one, that there is something to do; others find it by looking. */
export function wakeRunner(): void {
  (globalThis as { seedRoundRunner?: { look(): void } }).seedRoundRunner?.look();
}
