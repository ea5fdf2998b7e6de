import Joi from "joi";
import { EXAMPLE_GARDENS } from "@/core/garden/examples/gardens";
import { choice } from "../session/validation";

export const exampleSchema = Joi.object<{ readonly example: string }>({
  example: choice("Example", ...EXAMPLE_GARDENS.map(({ name }) => name)),
});
