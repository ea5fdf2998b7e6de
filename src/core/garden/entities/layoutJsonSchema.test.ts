import { readFileSync } from "node:fs";
import { layoutJsonSchema } from "./layoutJsonSchema";

test("docs/layout.schema.json says what a layout file holds", () => {
  expect(JSON.parse(readFileSync("docs/layout.schema.json", "utf8"))).toEqual(
    JSON.parse(JSON.stringify(layoutJsonSchema())),
  );
});
