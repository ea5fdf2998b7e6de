import { chmodSync, mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { closedTo, dataPlace } from "./dataPlace.mjs";
import { plainWords } from "./plainWords.mjs";

test("a folder that others may not enter is found on the way down, before anything is installed", () => {
  const home = mkdtempSync(join(tmpdir(), "seed-round-home-"));
  mkdirSync(join(home, "project"));
  chmodSync(home, 0o700);
  expect(closedTo(join(home, "project", "data"))).toBe(home);
  chmodSync(home, 0o711);
  expect(closedTo(join(home, "project", "data"))).toBeNull();
  rmSync(home, { recursive: true });
});

test("a folder that was named is taken as it is", () => {
  process.env.SEED_ROUND_DATA = "/srv/garden";
  expect(dataPlace(true)).toEqual({ folder: "/srv/garden", moved: false });
  delete process.env.SEED_ROUND_DATA;
  expect(dataPlace(true).folder).toMatch(/demo$/u);
});

test("what the system says is told in plain words, with the folder", () => {
  const error = Object.assign(new Error("ENOSPC: no space left on device, write"), {
    code: "ENOSPC",
    path: "/srv/garden/secret",
  });
  expect(plainWords(error)).toBe(
    "The disk is full: /srv/garden/secret. Make room, then start again; what was saved is safe.",
  );
  expect(
    plainWords(new Error('initdb: error: could not write file "PG_VERSION": No space left on device'), "/srv"),
  ).toContain("The disk is full: /srv.");
  expect(plainWords(new Error("EROFS: read-only file system, mkdir '/srv'"))).toContain(
    "can only be read. Put the data elsewhere",
  );
  expect(plainWords(new Error("something of its own"))).toBe("something of its own");
});
