import { Agent, request } from "node:http";
import { connect } from "node:net";

/** A request as it goes out. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Buffer;
  /** Its answer is a command's. */
  readonly command?: boolean;
}

export type Call = { readonly kind: "http"; readonly sent: Sent } | { readonly kind: "socket"; readonly bytes: Buffer };

export interface Answer {
  /** 0: the connection ended without an answer. -1: the tool itself cannot send this. */
  readonly status: number;
  readonly text: string;
  readonly type: string;
}

const TIMEOUT_MS = 30_000;
/** After bytes that are no HTTP nothing may come at all. */
const SOCKET_MS = 300;
const agent = new Agent({ keepAlive: true, maxSockets: 4 });

export function send(url: string, call: Call): Promise<Answer> {
  return call.kind === "http" ? sendHttp(url, call.sent) : sendBytes(url, call.bytes);
}

function sendHttp(url: string, { method, path, headers, body }: Sent): Promise<Answer> {
  const bytes = Buffer.from(body as string);
  const length = bytes.length > 0 ? { "content-length": bytes.length } : {};
  return new Promise((resolve) => {
    const failed = (error: Error) => resolve({ status: 0, text: error.message, type: "" });
    try {
      const options = { method, path, agent, timeout: TIMEOUT_MS, headers: { ...headers, ...length } };
      const asked = request(new URL(url), options, (answer) => {
        const parts: Buffer[] = [];
        const type = String(answer.headers["content-type"] ?? "");
        answer.on("data", (part: Buffer) => parts.push(part));
        answer.on("error", failed);
        answer.on("end", () => resolve({ status: answer.statusCode!, text: Buffer.concat(parts).toString(), type }));
      });
      asked.on("timeout", () => asked.destroy(new Error("no answer in time")));
      asked.on("error", failed);
      asked.end(bytes);
    } catch (error) {
      resolve({ status: -1, text: String(error), type: "" });
    }
  });
}

function sendBytes(url: string, bytes: Buffer): Promise<Answer> {
  return new Promise((resolve) => {
    let text = "";
    const done = () => resolve({ status: Number(/^HTTP\/1\.1 (\d+)/u.exec(text)?.[1] ?? 0), text, type: "text/plain" });
    const socket = connect(Number(new URL(url).port), "127.0.0.1", () => socket.write(bytes));
    socket.setTimeout(SOCKET_MS, () => socket.destroy());
    socket.on("data", (part) => (text += part.toString()));
    socket.on("error", () => undefined);
    socket.on("close", done);
  });
}
