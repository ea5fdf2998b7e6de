import type { Day } from "../units/day";

const FIRST_ROOM = 64;

/**
 * Lots of one variety in columns, each from a day to a day, both included: a large plan has a hundred thousand of them,
 * and objects would cost more than their sums.
 */
export class Lots {
  count = 0;
  batchId = new Int32Array(FIRST_ROOM);
  from = new Int32Array(FIRST_ROOM);
  until = new Int32Array(FIRST_ROOM);
  units = new Float64Array(FIRST_ROOM);
  /** What nobody has taken yet. */
  left = new Float64Array(FIRST_ROOM);
  /** The last day on which something was taken; 0 where nothing was. */
  taken = new Int32Array(FIRST_ROOM);

  /** The columns are used again for the next variety. */
  clear(): void {
    this.count = 0;
  }

  add(batchId: number, from: Day, until: Day, units: number): void {
    const at = this.count++;
    if (at === this.from.length) this.grow();
    this.batchId[at] = batchId;
    this.from[at] = from;
    this.until[at] = until;
    this.units[at] = units;
    this.left[at] = units;
    this.taken[at] = 0;
  }

  private grow(): void {
    const wider = <Column extends Int32Array | Float64Array>(column: Column): Column => {
      const next = new (column.constructor as new (length: number) => Column)(2 * column.length);
      next.set(column);
      return next;
    };
    for (const name of ["batchId", "from", "until", "taken"] as const) this[name] = wider(this[name]);
    for (const name of ["units", "left"] as const) this[name] = wider(this[name]);
  }
}
