import pino from "pino";

/** Structured lines. What could let somebody in never gets into them. */
export function logTo(destination: pino.DestinationStream): pino.Logger {
  return pino(
    {
      level: process.env.SEED_ROUND_LOG ?? "info",
      base: undefined,
      timestamp: pino.stdTimeFunctions.isoTime,
      serializers: { error: wordsOfError },
      redact: ["password", "token", "key", "cookie", "*.password", "*.token", "*.key", "*.cookie"],
    },
    destination,
  );
}

/** To standard error. */
export const log = logTo(pino.destination({ dest: 2, sync: false }));

/** What an error says. Its other parts may hold what somebody typed, or a connection string. */
function wordsOfError(error: unknown) {
  if (!(error instanceof Error)) return { message: String(error).slice(0, 300) };
  const { code, constraint, table } = error as { code?: string; constraint?: string; table?: string };
  return {
    name: error.name,
    message: withoutSecrets(error.message),
    code,
    constraint,
    table,
    stack: error.stack?.split("\n").slice(1, 6).join("\n"),
  };
}

function withoutSecrets(text: string): string {
  return text.replaceAll(/(postgres(?:ql)?:\/\/[^:]*:)[^@]*@/gu, "$1…@").slice(0, 500);
}
