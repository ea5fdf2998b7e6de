import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: "tests/journeys",
  // Each test starts its own server on its own database; two at a time keep two cores busy.
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  timeout: 90_000,
  expect: { timeout: 10_000 },
  reporter: [["list"], ["json"]],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: "retain-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
    },
  },
});
