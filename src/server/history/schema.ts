import Joi from "joi";

export const actSchema = Joi.object<{ act: string }>({
  act: Joi.string().guid().required().label("Change").messages({
    "any.required": "Say which change",
    "string.guid": "This is no change",
    "string.base": "This is no change",
    "string.empty": "Say which change",
  }),
});
