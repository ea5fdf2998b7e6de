import { createServer } from "node:net";
import { freePort } from "./cluster";

/**
 * The port that is asked for, looked at before anything is started, or a free one.
 * @throws Error in words when it is no port, or another program listens there
 */
export async function portFor(asked: string | undefined): Promise<number> {
  if (asked === undefined || asked === "" || asked === "0") return freePort();
  const port = Number(asked);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`PORT is "${asked}"; it must be a whole number from 1 to 65535, or left out.`);
  const problem = await new Promise<string | null>((resolve) => {
    const probe = createServer();
    probe.once("error", (error: NodeJS.ErrnoException) => resolve(error.code ?? error.message));
    probe.listen(port, "127.0.0.1", () => probe.close(() => resolve(null)));
  });
  if (problem === "EADDRINUSE") throw new Error(takenWords(port));
  if (problem === "EACCES")
    throw new Error(`Port ${port} is for root alone. Choose one from 1024 on: PORT=3000 npm start`);
  if (problem) throw new Error(`Port ${port} cannot be listened on: ${problem}.`);
  return port;
}

export function takenWords(port: number): string {
  return `Port ${port} is taken by another program. Choose another, PORT=${port < 65_535 ? port + 1 : 3000} npm start, or leave PORT out to get a free one.`;
}
