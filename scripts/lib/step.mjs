// Says what is being done while it takes its time. Plain JavaScript: needed before any package is there.

const FRAMES = ["⠋", "⠙", "⠹", "⠸", "⠼", "⠴", "⠦", "⠧", "⠇", "⠏"];
const FRAME_MS = 100;
const LINE_MS = 30_000;

/**
 * Does a piece of work under a line that says what it is and how long it usually takes: with a spinner and the time so far
 * on a terminal, else with a line now and then, so that nobody takes it for dead.
 *
 * @template T
 * @param {string} what "Installing the packages"
 * @param {string} usually "a minute"
 * @param {() => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function step(what, usually, work) {
  const began = Date.now();
  const seconds = () => Math.round((Date.now() - began) / 1000);
  const line = `${what} … (usually ${usually})`;
  const terminal = process.stdout.isTTY === true;
  let frame = 0;
  if (!terminal) console.log(line);
  const timer = setInterval(
    () => {
      if (terminal) process.stdout.write(`\r\u001b[K${FRAMES[frame++ % FRAMES.length]} ${line} ${seconds()} s`);
      else console.log(`  still at it after ${seconds()} s`);
    },
    terminal ? FRAME_MS : LINE_MS,
  );
  try {
    const result = await work();
    if (terminal) process.stdout.write(`\r\u001b[K✓ ${what}, ${seconds()} s\n`);
    return result;
  } catch (error) {
    if (terminal) process.stdout.write("\r\u001b[K");
    throw error;
  } finally {
    clearInterval(timer);
  }
}
