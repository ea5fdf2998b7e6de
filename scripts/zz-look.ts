import { chromium } from "@playwright/test";
import { caller } from "./lib/calls";
import { withDemo } from "./lib/withDemo";
const [path = "/round", out = "/tmp/look.png", width = "1280", height = "800", light = ""] = process.argv.slice(2);
await withDemo(async ({ url }) => {
  const who = await caller(url, "ines");
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const context = await browser.newContext({ viewport: { width: Number(width), height: Number(height) } });
  const [name, value] = who.cookie.split(/=(.*)/s) as [string, string];
  await context.addCookies([{ name, value, url }, ...(light ? [{ name: "light", value: light, url }] : [])]);
  const page = await context.newPage();
  page.on("console", (m) => console.log("console", m.type(), m.text().slice(0, 600)));
  page.on("pageerror", (e) => console.log("pageerror", e.message.slice(0, 600)));
  page.on("response", (r) => {
    if (r.status() >= 400) console.log(r.status(), r.url());
  });
  await page.goto(url + path);
  await page.waitForTimeout(3000);
  if (process.env.DO) await new Function("page", "url", `return (async () => { ${process.env.DO} })()`)(page, url);
  await page.screenshot({ path: out });
  await browser.close();
});
