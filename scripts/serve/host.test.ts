import type { IncomingMessage } from "node:http";
import { namesUs, printAddress } from "./host";

const asked = (headers: Record<string, string>) =>
  ({ headers: { ...headers }, socket: { remoteAddress: "127.0.0.1" } }) as unknown as IncomingMessage;
const alone = { port: 3000, proxies: 0, names: [] };

test("without a proxy only our own address on loopback is us, whatever else is claimed", () => {
  for (const host of ["127.0.0.1:3000", "localhost:3000", "LOCALHOST:3000", "[::1]:3000"])
    expect(namesUs(asked({ host }), alone)).toBe(true);
  for (const host of ["elsewhere.example:3000", "127.0.0.1", "127.0.0.1:3001", "localhost.elsewhere.example:3000", ""])
    expect(namesUs(asked({ host }), alone)).toBe(false);
  expect(namesUs(asked({}), alone)).toBe(false);
  expect(namesUs(asked({ host: "elsewhere.example:3000", "x-forwarded-host": "127.0.0.1:3000" }), alone)).toBe(false);
});

test("behind a proxy its names are us; without a name given, the host has to be our own address", () => {
  const named = { port: 3000, proxies: 1, names: ["garden.example"] };
  expect(namesUs(asked({ host: "127.0.0.1:3000", "x-forwarded-host": "garden.example" }), named)).toBe(true);
  expect(namesUs(asked({ host: "garden.example" }), named)).toBe(true);
  expect(namesUs(asked({ host: "127.0.0.1:3000" }), named)).toBe(true);
  expect(namesUs(asked({ host: "evil.example:3000", "x-forwarded-host": "evil.example" }), named)).toBe(false);
  const unnamed = { ...named, names: [] };
  expect(namesUs(asked({ host: "127.0.0.1:3000", "x-forwarded-host": "garden.example" }), unnamed)).toBe(true);
  expect(namesUs(asked({ host: "evil.example:3000", "x-forwarded-host": "evil.example:3000" }), unnamed)).toBe(false);
});

test("the address is the socket's, or the one that the nearest trusted proxy saw", () => {
  const request = asked({ "x-forwarded-for": "9.9.9.9, 10.0.0.7", "x-forwarded-proto": "https" });
  printAddress(request, { ...alone, proxies: 1 });
  expect(request.headers["x-seed-round-address"]).toBe("10.0.0.7");
  printAddress(request, alone);
  expect(request.headers).toEqual({ "x-seed-round-address": "127.0.0.1" });
});
