import type { Json } from "@/core/garden/changes";
import type { Db } from "../db/pool";

export type Subject = Readonly<Record<string, Json>>;

/** Heavy work of a kind: what its thread is given, and what is kept of what it found. */
export interface JobKind {
  /** Of the thread: a file in src/jobs. */
  readonly file: string;
  /** What the thread works on. @throws RefusedError, NotFoundError */
  readonly prepare: (db: Db, gardenId: number, subject: Subject) => Promise<unknown>;
  /** Keeps what was found, in the transaction that ends the job. @throws RefusedError, StaleError */
  readonly keep: (db: Db, gardenId: number, subject: Subject, found: unknown) => Promise<void>;
}
