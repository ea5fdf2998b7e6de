import type { ReactNode } from "react";

/** Nothing here yet: says what belongs here and shows one worked example. */
export function Empty({ title, example, children }: { title: string; example?: ReactNode; children?: ReactNode }) {
  return (
    <div className="my-4 max-w-xl border-l-[6px] border-rule py-2 pl-4">
      <p className="sign text-xl">{title}</p>
      {example && <p className="mt-1 text-soft">{example}</p>}
      {children && <div className="mt-3 flex flex-wrap gap-2">{children}</div>}
    </div>
  );
}
