import { Fragment, type ReactNode } from "react";

/** A template with what stands in its braces; a comma or full stop stays on the line of the blank before it. */
export function filledIn(template: string, blank: (name: string) => ReactNode): ReactNode {
  const [head, ...parts] = template.split(/(\{[\w.]+\}[,.;]?)/u);
  return [
    head,
    ...parts.map((part, index) => {
      const [, name, mark] = /^\{([\w.]+)\}([,.;]?)$/u.exec(part) ?? [];
      if (name === undefined) return part;
      return mark ? (
        <span key={index} className="whitespace-nowrap">
          {blank(name)}
          {mark}
        </span>
      ) : (
        <Fragment key={index}>{blank(name)}</Fragment>
      );
    }),
  ];
}
