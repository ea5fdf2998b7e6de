import { caller } from "./lib/calls";
import { withDemo } from "./lib/withDemo";
import { workDone } from "./lib/progress";
process.env.SEED_ROUND_WORKERS = "1";
const SHEETS = (
  process.env.SHEETS ??
  "/round,/batches,/round/log,/place,/water,/feed,/round?item=reading%3A1,/batches/orders,/growth,/people/history"
).split(",");
if (process.env.PROF) process.env.NODE_OPTIONS = "--import /tmp/profiler.mjs";
await withDemo(async ({ url, webPid }) => {
  process.env.NODE_OPTIONS = "";
  const who = await caller(url, "ines");
  const warm = Number(process.env.WARM ?? 30);
  for (let i = 0; i < warm; i++) for (const s of SHEETS) await who.get(s).then((a) => a.arrayBuffer());
  if (process.env.WRITES) {
    const note = (i: number) => ({ title: `Seen ${i}`, place: "Leaf bank", day: "2027-09-02", note: "" });
    const reading = { loopId: 1, ecMsPerCm: 1.5, ph: 6, waterC: 20, levelL: 580, sure: true };
    const measure = async (name: string, work: (i: number) => Promise<unknown>) => {
      const before = workDone(webPid);
      for (let i = 0; i < 40; i++) await work(i);
      console.log(name.padEnd(28), `cpu ${(((workDone(webPid) - before) * 10) / 40).toFixed(1)} ms`);
    };
    await measure("note", (i) => who.call("addNote", note(i)));
    await measure("reading", () => who.call("enterReading", reading));
    await measure("note + /water", async (i) => {
      await who.call("addNote", note(i));
      await who.get("/water").then((a) => a.text());
    });
    await measure("reading + /water", async () => {
      await who.call("enterReading", reading);
      await who.get("/water").then((a) => a.text());
    });
    await measure("/water", async () => {
      await who.get("/water").then((a) => a.text());
    });
  }
  for (const s of SHEETS) {
    const before = workDone(webPid);
    const t = performance.now();
    let size = 0;
    for (let i = 0; i < 20; i++) size = (await who.get(s).then((a) => a.arrayBuffer())).byteLength;
    console.log(
      s.padEnd(28),
      `cpu ${(((workDone(webPid) - before) * 10) / 20).toFixed(1)} ms`,
      `wall ${((performance.now() - t) / 20).toFixed(1)}`,
      `${(size / 1024).toFixed(0)} kB`,
    );
  }
});
