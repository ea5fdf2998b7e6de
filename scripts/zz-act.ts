import { actionId, caller } from "./lib/calls";
import { withDemo } from "./lib/withDemo";
process.env.SEED_ROUND_WORKERS = "1";
if (process.env.PROF) process.env.NODE_OPTIONS = "--import /tmp/profiler.mjs";
await withDemo(async ({ url }) => {
  process.env.NODE_OPTIONS = "";
  const who = await caller(url, "ines");
  const post = () =>
    fetch(url + "/round", {
      method: "POST",
      headers: {
        "next-action": actionId("addNote"),
        "content-type": "text/plain;charset=UTF-8",
        accept: "text/x-component",
        origin: url,
        cookie: who.cookie,
      },
      body: JSON.stringify([{ title: "x", place: "", day: "2027-09-02", note: "" }]),
    }).then((a) => a.text());
  for (let i = 0; i < 150; i++) await post();
  console.log((await post()).slice(0, 600));
  for (let i = 0; i < 200; i++) await post();
});
