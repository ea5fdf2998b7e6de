import { PageLink } from "./PageLink";
import type { ReactNode } from "react";
import { buttonClass } from "./Button";

export interface PickerProps {
  /** Address of the sheet; the chosen id is added as a query. */
  readonly href: string;
  readonly query: string;
  readonly rows: readonly { readonly id: number; readonly name: string }[];
  readonly chosen: number | null;
  readonly children?: ReactNode;
}

/** A row of choices kept in the address: loops, houses. Further buttons follow. */
export function Picker({ href, query, rows, chosen, children }: PickerProps) {
  return (
    <div className="no-print mb-4 flex flex-wrap items-center gap-2">
      {rows.map((row) => (
        <PageLink
          key={row.id}
          href={`${href}${href.includes("?") ? "&" : "?"}${query}=${row.id}`}
          aria-current={row.id === chosen ? "true" : undefined}
          className={buttonClass(row.id === chosen ? "strong" : "plain")}
        >
          {row.name}
        </PageLink>
      ))}
      {children}
    </div>
  );
}
