// Every job begins here: plain JavaScript that teaches its own thread to read the TypeScript of the job.
import { workerData } from "node:worker_threads";
import { register } from "tsx/esm/api";

register();
await import(new URL(workerData.job, import.meta.url).href);
