import { spawn, type ChildProcess } from "node:child_process";

/** A copy of Seed Round that was started by a command, as a person or a service manager does it. */
export interface StartedCopy {
  readonly process: ChildProcess;
  readonly url: string;
  /** All that it has said so far. */
  readonly said: () => string;
}

/** Starts a copy and waits for the address that it prints. @throws Error with what it said when it ends before that */
export async function startCopy(
  command: readonly string[],
  environment: NodeJS.ProcessEnv,
  onStart: (started: ChildProcess) => void = () => undefined,
): Promise<StartedCopy> {
  const [program, ...words] = command;
  const started = spawn(program!, words, { env: environment, stdio: ["ignore", "pipe", "pipe"] });
  onStart(started);
  let text = "";
  started.stderr.on("data", (chunk: Buffer) => (text += chunk.toString()));
  const url = await new Promise<string>((resolve, reject) => {
    started.stdout.on("data", (chunk: Buffer) => {
      text += chunk.toString();
      const found = /Seed Round is at (\S+)/u.exec(text);
      if (found) resolve(found[1]!);
    });
    started.once("exit", () => reject(new Error(`It ended while it started:\n${text}`)));
  });
  return { process: started, url, said: () => text };
}
