/** Names and values, one a line; what is not there is not told. */
export function Facts({ rows }: { readonly rows: readonly (readonly [name: string, value: string | null])[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr]">
      {rows.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="border-t border-rule py-0.5 pr-4 text-soft">{name}</dt>
          <dd className="border-t border-rule py-0.5 text-right font-bold">{value ?? "not told"}</dd>
        </div>
      ))}
    </dl>
  );
}
