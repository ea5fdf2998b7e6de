import type { PeopleRefusal } from "@/server/people/refused";

const ANOTHER = "Choose another: four words in a row are good.";

type FixedKind = Exclude<PeopleRefusal["kind"], "garden-name-wrong" | "too-many-tries">;

const WORDS: Readonly<Record<FixedKind, string>> = {
  "old-password-wrong": "The old password is wrong.",
  "password-wrong": "This password is wrong.",
  "name-or-password-wrong": "Wrong name or password.",
  "common-password": `This is one of the most common passwords, which are tried first. ${ANOTHER}`,
  "known-name-password": `This password is a name that others know, the garden's or yours. ${ANOTHER}`,
  "factor-on-already": "It is switched on already.",
  "factor-off-already": "It is switched off already.",
  "factor-off": "The second factor is switched off.",
  "code-wrong": "This code is wrong, or was used already.",
  "code-wanted": "Now the six figures that your phone shows.",
  "session-ended": "This session has ended already.",
  "not-in-garden": "You are not a member of this garden.",
  "invitation-closed": "This invitation was used, withdrawn or is too old. Ask a keeper for a new one.",
  "invitation-used": "This invitation was used a moment ago.",
  "link-closed": "This link was used or withdrawn already.",
  "reset-closed":
    "This link was used, withdrawn or is too old, or its account is a member of another garden too. Ask a keeper.",
  "member-left": "This member has left already.",
  "member-without-account": "This member has no account to set a password for: invite them.",
  "account-elsewhere":
    "This account is a member of another garden too, which the link would open as well. Invite them again instead.",
  "last-keeper": "The last keeper stays keeper: make somebody else one first.",
  "sign-in-first": "Sign in first.",
  "sign-in-then-link": "Sign in first, then open the link again.",
  "has-first-account": "The first account was made already: sign in, or ask a keeper.",
  "no-example": "This garden is no example: it is deleted under People, by its name.",
  "in-garden-already": "You are a member of a garden already: make another one from there.",
};

/** Why an access is refused. */
export function peopleRefusalWords(refusal: PeopleRefusal): string {
  if (refusal.kind === "garden-name-wrong") return `This garden's name is "${refusal.gardenName}".`;
  if (refusal.kind === "too-many-tries") return `Too many tries. Wait ${waitWords(refusal.waitS)}, then try again.`;
  return WORDS[refusal.kind];
}

function waitWords(seconds: number): string {
  if (seconds < 60) return seconds === 1 ? "a second" : `${seconds} seconds`;
  const minutes = Math.ceil(seconds / 60);
  return minutes === 1 ? "a minute" : `${minutes} minutes`;
}
