import type { Work } from "../../src/jobs/thread";

/** How many jobs this thread has worked on. */
let jobs = 0;

/** Looks so many times, ten milliseconds apart. */
export const work: Work = async (times, look) => {
  jobs += 1;
  if (Number(times) < 0) throw new Error("cannot look so often");
  for (let looked = 0; looked < Number(times); looked++) {
    look(looked);
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  return { looked: Number(times), jobs };
};
