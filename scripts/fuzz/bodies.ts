export const MB = 1_000_000;

const texts = (...all: readonly string[]) => all.map((text) => Buffer.from(text));

/** Bodies that mean more than data, or break off, or are too much. */
export const BODIES: readonly Buffer[] = [
  ...texts('["$F1"]', '["$K1"]', '["$Q0"]', '["$@0"]', '["$B1"]', '["$undefined"]', '["$n12x"]', '["$D2027-99-99"]'),
  ...texts('["$n99999999999999999999999999"]', '[{"then":"$1:__proto__:then"}]', '[{"__proto__":{"a":1}}]'),
  ...texts('[{"constructor":{"prototype":1}}]', '["\\ud800"]', '[{"title":"a\\u0000b"}]'),
  ...texts('[{"title":"\\ud800","place":"","day":"2027-09-02","note":""}]'),
  ...texts(`${"[".repeat(5000)}${"]".repeat(5000)}`, "[", "", "null", "0", "[1,2,3]"),
  Buffer.from([0xff, 0xfe, 0xfa]),
  Buffer.from([0x5b, 0x22, 0xc3, 0x28, 0x22, 0x5d]),
  Buffer.alloc(12 * MB, 0x61),
  Buffer.alloc(50 * MB, 0x61),
];

/** Bytes that are no HTTP, or only begin as if they were. */
export const SOCKETS: readonly Buffer[] = [
  ...texts("GET / HTTP/9.9\r\n\r\n", "GET /\r\n", "\r\n\r\n", "GET /%zz HTTP/1.1\r\nHost: x\r\n\r\n"),
  ...texts("TRACE /round HTTP/1.1\r\nHost: x\r\n\r\n", "CONNECT x:1 HTTP/1.1\r\nHost: x\r\n\r\n"),
  ...texts("POST /round HTTP/1.1\r\nHost: x\r\nContent-Length: 10\r\n\r\nabc"),
  ...texts("POST /round HTTP/1.1\r\nHost: x\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n"),
  ...texts(`GET /round HTTP/1.1\r\nHost: x\r\nX: ${"y".repeat(70_000)}\r\n\r\n`),
  ...texts("GET http://elsewhere/ HTTP/1.1\r\nHost: x\r\n\r\n"),
];
