/** Lets so many in at once; the others wait their turn, but not for ever. */
export interface Limiter {
  /** @returns a function to call on leaving, or null for who waited too long */
  enter(): Promise<(() => void) | null>;
}

interface Waiting {
  readonly admit: () => void;
  readonly timer: NodeJS.Timeout;
}

/**
 * @param most who may be inside at once
 * @param patienceMs how long the others wait at most
 */
export function limiter(most: number, patienceMs: number): Limiter {
  let inside = 0;
  const queue = new Set<Waiting>();
  const leave = () => {
    const [next] = queue;
    if (!next) return void (inside -= 1);
    queue.delete(next);
    clearTimeout(next.timer);
    next.admit();
  };
  /** A way out that counts once. */
  const wayOut = () => {
    let out = false;
    return () => {
      if (out) return;
      out = true;
      leave();
    };
  };
  return {
    enter() {
      if (inside < most) {
        inside += 1;
        return Promise.resolve(wayOut());
      }
      return new Promise((resolve) => {
        const waiting: Waiting = {
          admit: () => resolve(wayOut()),
          timer: setTimeout(() => {
            queue.delete(waiting);
            resolve(null);
          }, patienceMs),
        };
        queue.add(waiting);
      });
    },
  };
}
