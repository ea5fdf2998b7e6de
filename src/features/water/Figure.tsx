/** What is measured, a figure to read at arm's length, and a word about it. */
export function Figure({
  what,
  figure,
  note,
}: {
  readonly what: string;
  readonly figure: string;
  readonly note?: string;
}) {
  return (
    <div className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
      <dt>
        {what}
        {note && <span className="block text-sm text-soft">{note}</span>}
      </dt>
      <dd className="sign shrink-0 whitespace-nowrap text-right text-xl">{figure}</dd>
    </div>
  );
}
