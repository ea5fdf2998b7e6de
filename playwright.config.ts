import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: "tests/journeys",
  // Each worker has a server; two at a time keep two cores busy.
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  // Limits, not waits: nothing waits for seconds, and a machine with other work to do takes its time.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  reporter: [["list"], ["json"]],
  use: {
    viewport: { width: 1280, height: 800 },
    // Traces take a third of the time; `npm test -- browser name --trace retain-on-failure` makes one.
    trace: "off",
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
    },
  },
});
