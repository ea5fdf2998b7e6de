import type { Work } from "../../jobs/thread";

/** Works a file of src/jobs off in a thread of its own: what serves the application provides it. */
export type OffThread = (file: string, input: unknown) => Promise<unknown>;

/**
 * Works something out that somebody waits for, off the server's own thread so that nobody else does; where nothing provides
 * threads, as in tests, on this one.
 *
 * @param file in src/jobs
 * @param here loads the same file
 * @throws Error when the thread ends before it has worked it out
 */
export async function offThread<Found>(
  file: string,
  input: unknown,
  here: () => Promise<{ readonly work: Work }>,
): Promise<Found> {
  const { seedRoundOffThread: provided } = globalThis as { seedRoundOffThread?: OffThread };
  if (provided) return (await provided(file, input)) as Found;
  return (await (await here()).work(input, () => undefined)) as Found;
}
