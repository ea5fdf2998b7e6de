import { WarmThread } from "./thread";

/**
 * Works something out that somebody waits for, off the server's own thread so that nobody else does.
 *
 * @param file in src/jobs
 * @throws Error when the thread ends before it has worked it out
 */
export async function offThread<Found>(file: string, input: unknown): Promise<Found> {
  const thread = new WarmThread();
  try {
    const ended = await thread.work(file, input, () => undefined).ended;
    if (!ended) throw new Error(`${file} was stopped.`);
    return ended.found as Found;
  } finally {
    await thread.end();
  }
}
