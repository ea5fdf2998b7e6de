import { addressKey, waitS } from "./attempts";

test("the wait doubles from five seconds to a quarter of an hour, after the free ones", () => {
  expect([0, 4, 5, 6, 7, 12, 13, 500].map((failures) => waitS(failures, 5))).toEqual([0, 0, 5, 10, 20, 640, 900, 900]);
});

test("addresses of one household count as one, written this way or that", () => {
  expect(addressKey("::ffff:10.0.0.7")).toBe("address:10.0.0.7");
  expect(addressKey("2001:db8:0:12::1")).toBe(addressKey("2001:0db8:0000:0012:aaaa:bbbb:cccc:dddd"));
  expect(addressKey("2001:DB8:0:12::1")).toBe("address:2001:db8:0:12");
  expect(addressKey("2001:db8:0:13::1")).not.toBe(addressKey("2001:db8:0:12::1"));
  expect(addressKey("::1")).toBe("address:0:0:0:0");
  expect(addressKey("fe80::1%eth0")).toBe("address:fe80:0:0:0");
});
