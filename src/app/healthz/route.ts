/** Whether this process answers, and which start it belongs to: another program may sit on the port. */
export function GET(): Response {
  return Response.json({ ok: true, name: "Seed Round", instance: process.env.SEED_ROUND_INSTANCE ?? null });
}
