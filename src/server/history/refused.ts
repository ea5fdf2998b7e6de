/** Why a change is not undone. */
export type HistoryRefusal = {
  readonly room: "history";
  readonly kind: "unknown-change" | "cannot-be-undone" | "changed-since" | "used-since";
};
