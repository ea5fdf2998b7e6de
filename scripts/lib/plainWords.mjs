// What the system says when it cannot, in plain words. Plain JavaScript: needed before any package is there.

const REASONS = [
  [/ENOSPC|No space left on device|could not extend file|disk quota exceeded|EDQUOT/iu, "The disk is full"],
  [/EROFS|Read-only file system/iu, "The folder is on a disk that can only be read"],
  [/EACCES|EPERM|Permission denied|Operation not permitted/iu, "The folder may not be written by this user"],
  [/EMFILE|ENFILE|Too many open files/iu, "Too many files are open on this machine"],
  [/ENOMEM|Cannot allocate memory|out of memory|JavaScript heap/iu, "The machine has no memory left"],
];
const HELP = {
  "The disk is full": "Make room, then start again; what was saved is safe.",
  "The folder is on a disk that can only be read": "Put the data elsewhere: SEED_ROUND_DATA=/a/folder npm start",
  "The folder may not be written by this user":
    "Give it to this user, or put the data elsewhere: SEED_ROUND_DATA=/a/folder npm start",
  "Too many files are open on this machine": "End other programs, then start again.",
  "The machine has no memory left": "End other programs, then start again.",
};

/**
 * A failure in words for whoever started us; what is not known stays as it is.
 *
 * @param {unknown} error
 * @param {string} [where] the folder that was written to
 * @returns {string}
 */
export function plainWords(error, where) {
  const text = error instanceof Error ? error.message : String(error);
  const code = error instanceof Error && "code" in error ? String(error.code) : "";
  const path = (error instanceof Error && "path" in error && typeof error.path === "string" && error.path) || where;
  for (const [pattern, reason] of REASONS)
    if (pattern.test(`${code} ${text}`)) return `${reason}${path ? `: ${path}` : ""}. ${HELP[reason]}`;
  return text;
}
