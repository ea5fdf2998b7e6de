import type { Json } from "@/core/garden/changes";
import { many, maybeOne, run, type Db } from "../db/pool";
import type { Refused } from "../session/refused";
import type { Session } from "../session/session";

export type JobState = "waiting" | "running" | "done" | "failed" | "stopped";

/** Heavy work that somebody asked for, as a page shows it. */
export interface Job {
  readonly id: number;
  readonly state: JobState;
  readonly progress: Json;
  readonly refused: Refused | null;
}

const JOB = `id, state, progress, refused`;

/** Asks for heavy work. The same that waits or runs already is not asked for twice. @returns its id */
export async function askFor(
  db: Db,
  who: Session,
  kind: string,
  subject: Readonly<Record<string, Json>>,
): Promise<number> {
  const values = [who.gardenId, who.personId, kind, JSON.stringify(subject)];
  const made = await maybeOne<{ id: number }>(
    db,
    `insert into job (garden_id, person_id, kind, subject) values ($1, $2, $3, $4::jsonb)
     on conflict (garden_id, kind, subject) where state in ('waiting', 'running') do nothing returning id`,
    values,
  );
  if (made) return made.id;
  const there = await maybeOne<{ id: number }>(
    db,
    `select id from job where garden_id = $1 and kind = $2 and subject = $3::jsonb and state in ('waiting', 'running')`,
    [who.gardenId, kind, JSON.stringify(subject)],
  );
  return there!.id;
}

/** Asks that it stops: what waits is stopped at once, what runs at its next look. */
export function askToStop(db: Db, gardenId: number, id: number): Promise<number> {
  return run(
    db,
    `update job set cancel = true, state = case when state = 'waiting' then 'stopped' else state end,
                    ended_at = case when state = 'waiting' then now() end
      where garden_id = $1 and id = $2 and state in ('waiting', 'running')`,
    [gardenId, id],
  );
}

/** Asks what runs to come to an end with the best that it has. */
export function askForEnough(db: Db, gardenId: number, id: number): Promise<number> {
  return run(db, `update job set enough = true where garden_id = $1 and id = $2 and state = 'running'`, [gardenId, id]);
}

/** The newest work of a kind for each subject, by a part of it. */
export async function newestJobs(
  db: Db,
  gardenId: number,
  kind: string,
  part: string,
): Promise<ReadonlyMap<number, Job>> {
  const rows = await many<Job & { about: number } & Record<string, unknown>>(
    db,
    `select distinct on (subject -> $3) ${JOB}, (subject ->> $3)::integer as about
       from job where garden_id = $1 and kind = $2 order by subject -> $3, id desc`,
    [gardenId, kind, part],
  );
  return new Map(rows.map(({ about, id, state, progress, refused }) => [about, { id, state, progress, refused }]));
}
