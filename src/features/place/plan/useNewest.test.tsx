import { renderHook } from "@testing-library/react";
import { useNewest } from "./useNewest";

const at = (x: number, by = "") => ({ id: 1, x, by });

test("a page of an earlier save that comes in late is not taken for newer; one that has moved on is", () => {
  const { result, rerender } = renderHook(({ page }) => useNewest(page), { initialProps: { page: [at(0)] } });
  const rows = () => result.current;
  expect(rows().newest(1)).toEqual(at(0));
  rows().keep(at(1));
  rows().keep(at(2));
  expect(rows().newest(1)).toEqual(at(2));
  rerender({ page: [at(1)] });
  expect(rows().newest(1)).toEqual(at(2));
  rerender({ page: [at(2, "Tomas")] });
  expect(rows().newest(1)).toEqual(at(2, "Tomas"));
  // It has caught up: from now on the page is right, whatever it goes back to.
  rerender({ page: [at(1)] });
  expect(rows().newest(1)).toEqual(at(1));
});

test("what was undone is not built on; what is gone from the page is gone", () => {
  const { result, rerender } = renderHook(({ page }) => useNewest(page), { initialProps: { page: [at(0)] } });
  result.current.keep(at(1));
  result.current.forget();
  expect(result.current.newest(1)).toEqual(at(0));
  result.current.keep(at(1));
  rerender({ page: [] });
  expect(result.current.newest(1)).toBeUndefined();
});
