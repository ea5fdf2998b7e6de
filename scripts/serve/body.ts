import { IncomingMessage } from "node:http";

/** The largest body that is read: a whole garden's layout is far smaller. */
export const MOST_BYTES = 2_000_000;

/** Why a request is not looked at, as it is answered. */
export class Unanswerable extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 405 | 413 | 421,
    words: string,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    super(words);
  }
}

/** What a value of a command may begin with, after the mark that means more than itself. */
const KNOWN_MARK = /^\$(\$|undefined$|NaN$|Infinity$|-Infinity$|-0$|n-?\d+$)/u;
const INSTANT = /^\$D(\d{4}-\d{2}-\d{2}T[\d:.]+Z)$/u;
const MOST_DEPTH = 100;
/** Half of a character, which no text can hold. */
const HALF = /\p{Surrogate}/u;

/**
 * Reads the body of a request that changes something, whole and as what it says it is.
 *
 * @param isCommand whether it calls a command: then it must be a list of one or two values, in marks that only carry data
 * @returns a request that can be read once more
 * @throws Unanswerable 413 when it is too large, 400 when it cannot be decoded
 */
export async function checkedBody(request: IncomingMessage, isCommand: boolean): Promise<IncomingMessage> {
  const body = await bytesOf(request);
  const value = decoded(body);
  if (isCommand) {
    if (!/^text\/plain\b/u.test(request.headers["content-type"] ?? ""))
      throw new Unanswerable(400, "A command is sent as plain text.");
    if (!Array.isArray(value) || value.length < 1 || value.length > 2)
      throw new Unanswerable(400, "A command takes one input and the id of the act.");
    requireData(value, 0);
  }
  return again(request, body);
}

async function bytesOf(request: IncomingMessage): Promise<Buffer> {
  const tooLarge = () =>
    new Unanswerable(413, `This is larger than ${MOST_BYTES / 1_000_000} MB, the most that is taken.`, {
      connection: "close",
    });
  if (Number(request.headers["content-length"] ?? 0) > MOST_BYTES) throw tooLarge();
  const parts: Buffer[] = [];
  let length = 0;
  try {
    for await (const part of request as AsyncIterable<Buffer>) {
      length += part.length;
      if (length > MOST_BYTES) throw tooLarge();
      parts.push(part);
    }
  } catch (error) {
    if (error instanceof Unanswerable) throw error;
    throw new Unanswerable(400, "The request broke off before its end.", { connection: "close" });
  }
  return Buffer.concat(parts);
}

function decoded(body: Buffer): unknown {
  try {
    return JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(body));
  } catch {
    throw new Unanswerable(400, "This cannot be read: it is no JSON in UTF-8.");
  }
}

/** Commands carry data: no reference to anything on the server, no half of a character, no key that is more than a key. */
function requireData(value: unknown, depth: number): void {
  if (depth > MOST_DEPTH) throw new Unanswerable(400, "This is nested too deeply to be read.");
  if (typeof value === "string") {
    const instant = INSTANT.exec(value)?.[1];
    if (value.startsWith("$") && !KNOWN_MARK.test(value) && !(instant && Number.isFinite(Date.parse(instant))))
      throw new Unanswerable(400, "This cannot be read: a value refers to something else.");
    return;
  }
  if (typeof value !== "object" || value === null) return;
  for (const [key, part] of Object.entries(value)) {
    if (key === "__proto__" || HALF.test(key))
      throw new Unanswerable(400, "This cannot be read: a part has a name that none can have.");
    requireData(part, depth + 1);
  }
}

/** The same request, with its body to be read once more. */
function again(request: IncomingMessage, body: Buffer): IncomingMessage {
  const copy = new IncomingMessage(request.socket);
  Object.assign(copy, {
    method: request.method,
    url: request.url,
    headers: request.headers,
    rawHeaders: request.rawHeaders,
    httpVersion: request.httpVersion,
    complete: true,
  });
  copy.push(body);
  copy.push(null);
  return copy;
}
