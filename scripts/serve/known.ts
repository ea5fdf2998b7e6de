import { readFileSync } from "node:fs";
import { join } from "node:path";

/** What the build answers to. */
export interface Known {
  /** The ids under which it knows its commands. */
  readonly commands: ReadonlySet<string>;
  /** Paths that answer by themselves, without a page. */
  readonly routes: ReadonlySet<string>;
}

export function knownTo(buildFolder: string): Known {
  const json = (...path: string[]) =>
    JSON.parse(readFileSync(join(buildFolder, ...path), "utf8")) as Record<string, unknown>;
  const { node } = json("server", "server-reference-manifest.json") as { node: Record<string, unknown> };
  const paths = json("app-path-routes-manifest.json") as Record<string, string>;
  const routes = Object.entries(paths).flatMap(([source, path]) => (source.endsWith("/route") ? [path] : []));
  return { commands: new Set(Object.keys(node)), routes: new Set(routes) };
}
