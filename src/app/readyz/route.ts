import { many, pool } from "@/server/db/pool";

/** Whether the database answers too: a page that waits for it asks here, and so does whatever sends requests this way. */
export async function GET(): Promise<Response> {
  try {
    await many(pool(), "select only_one from installation");
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false, problem: "The database does not answer." }, { status: 503 });
  }
}
