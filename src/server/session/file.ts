/** A file to keep, with a name that every system takes. */
export function asFile(body: string, type: string, name: string): Response {
  const safe = name
    .normalize("NFKD")
    .replaceAll(/[^\w.-]+/gu, "-")
    .toLowerCase();
  return new Response(body, {
    headers: { "content-type": `${type}; charset=utf-8`, "content-disposition": `attachment; filename="${safe}"` },
  });
}
