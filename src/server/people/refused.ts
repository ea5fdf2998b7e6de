/** Why an access is refused. */
export type PeopleRefusal = { readonly room: "people" } & (
  | {
      readonly kind:
        | "old-password-wrong"
        | "password-wrong"
        | "name-or-password-wrong"
        | "common-password"
        | "known-name-password"
        | "factor-on-already"
        | "factor-off-already"
        | "factor-off"
        | "code-wrong"
        | "code-wanted"
        | "session-ended"
        | "not-in-garden"
        | "invitation-closed"
        | "invitation-used"
        | "link-closed"
        | "reset-closed"
        | "member-left"
        | "member-without-account"
        | "account-elsewhere"
        | "last-keeper"
        | "sign-in-first"
        | "sign-in-then-link"
        | "has-first-account"
        | "in-garden-already"
        | "no-example";
    }
  | { readonly kind: "garden-name-wrong"; readonly gardenName: string }
  | { readonly kind: "too-many-tries"; readonly waitS: number }
);
