/** Whether this process answers. */
export function GET(): Response {
  return Response.json({ ok: true });
}
