import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { keptSecret } from "./writeWhole";
import { noteRunning, running } from "./data";

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), "seed-round-keep-"))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

test("a secret is kept; one torn by a power cut is made again and said to be", () => {
  const file = join(folder, "secret");
  const first = keptSecret(file);
  expect(first).toMatchObject({ isNew: true, wasTorn: false });
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(keptSecret(file)).toEqual({ secret: first.secret, isNew: false, wasTorn: false });
  for (const torn of ["", first.secret.slice(0, 20), "\0".repeat(48)]) {
    writeFileSync(file, torn);
    expect(keptSecret(file)).toMatchObject({ isNew: true, wasTorn: true });
    expect(readFileSync(file, "utf8")).toMatch(/^[0-9a-f]{48}$/u);
  }
  expect(readdirSync(folder)).toEqual(["secret"]);
});

test("what is said to be running is believed only when it can be read and lives", () => {
  for (const torn of ["", '{"pid":12', "[]", "null", '{"pid":"x"}', '{"pid":-1}', "\0\0\0"]) {
    writeFileSync(join(folder, "running.json"), torn);
    expect(running(folder)).toBeNull();
  }
  // A process that lives, but is none of ours.
  noteRunning(folder, { pid: 1 });
  expect(running(folder)).toBeNull();
});
