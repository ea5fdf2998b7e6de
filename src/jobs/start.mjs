// The thread begins here: plain JavaScript that teaches itself to read the TypeScript of the jobs.
import { register } from "tsx/esm/api";

register();
await import(new URL("./thread.ts", import.meta.url).href);
