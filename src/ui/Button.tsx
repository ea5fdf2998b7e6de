import type { ComponentProps } from "react";

const LOOKS = {
  strong: "bg-ink text-ground border-ink",
  go: "bg-leaf text-on-strong border-leaf",
  plain: "bg-sheet text-ink border-ink",
  quiet: "bg-transparent text-ink border-transparent underline underline-offset-4 px-1",
  alarm: "bg-sheet text-alarm border-alarm",
} as const;

export function buttonClass(look: keyof typeof LOOKS = "plain"): string {
  return `sign inline-flex min-h-11 items-center justify-center gap-2 rounded border-2 px-4 text-lg disabled:opacity-60 ${LOOKS[look]}`;
}

/** A button large enough for wet hands. */
export function Button({
  look = "plain",
  className = "",
  type = "button",
  ...rest
}: ComponentProps<"button"> & { look?: keyof typeof LOOKS }) {
  return <button type={type} className={`${buttonClass(look)} ${className}`} {...rest} />;
}
