/** What a member is in a garden, from the one who may do most to the one who only looks. */
export const ROLES = ["keeper", "grower", "helper", "viewer"] as const;
export type Role = (typeof ROLES)[number];

/** What can be done: look at everything; walk the round and write the log; dose tanks; plan and lay out; manage access. */
export type Right = "look" | "log" | "dose" | "plan" | "keep";

const RIGHTS: Readonly<Record<Role, readonly Right[]>> = {
  keeper: ["look", "log", "dose", "plan", "keep"],
  grower: ["look", "log", "dose", "plan"],
  helper: ["look", "log"],
  viewer: ["look"],
};

/** What each role does, in words. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  keeper: "everything, including access and units",
  grower: "plans, logs, doses",
  helper: "walks the round and logs",
  viewer: "looks",
};

/** Whether a role has a right. An unknown role has none. */
export function may(role: Role, right: Right): boolean {
  return RIGHTS[role]?.includes(right) ?? false;
}

/** Who may do what a role may not, in words for the refusal. */
export function whoMay(right: Right): string {
  const able = ROLES.filter((role) => may(role, right));
  return able.length === 1 ? `a ${able[0]}` : `a ${able.slice(0, -1).join(", a ")} or a ${able.at(-1)}`;
}
