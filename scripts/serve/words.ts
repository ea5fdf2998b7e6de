import type { ServerResponse } from "node:http";

const TITLE = "Seed Round is busy";

/** Answers in plain words, without the application: its type exactly so, or the framework hides the words from our pages. */
export function answerWords(
  response: ServerResponse,
  status: number,
  words: string,
  headers: Readonly<Record<string, string>> = {},
): void {
  if (response.headersSent) return void response.destroy();
  response
    .writeHead(status, { "content-type": "text/plain", "cache-control": "no-store", ...headers })
    .end(`${words}\n`);
}

/** A page that asks again by itself, for whoever came by the address bar. */
export function answerBusy(response: ServerResponse, wantsPage: boolean, retryAfterS: number): void {
  const headers = { "retry-after": String(retryAfterS) };
  const words = "So many ask at once that this had to wait too long. Nothing was done yet";
  if (!wantsPage) return answerWords(response, 503, `${words}; ask again.`, headers);
  const page = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="refresh" content="${retryAfterS}"><title>${TITLE}</title>
<body style="font-family:sans-serif;max-width:36rem;padding:2rem;background:#f3eee2;color:#1b2a30"><h1>${TITLE}</h1><p>${words}. This page asks again by itself in ${retryAfterS} seconds.</p>`;
  response
    .writeHead(503, { ...headers, "content-type": "text/html; charset=utf-8", "cache-control": "no-store" })
    .end(page);
}
