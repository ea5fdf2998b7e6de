"use client";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import type { ExampleGarden } from "@/core/garden/examples/example";
import { EXAMPLE_GARDENS } from "@/core/garden/examples/gardens";
import { setUp } from "@/core/garden/setup/setUp";
import { quantityText } from "@/core/units/format";
import { StandsPicture } from "@/features/frame/plan/StandsPicture";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { copyExample, openExample } from "@/server/people/examples";
import { Button } from "@/ui/Button";

/** Six small gardens to open and look through, or to copy parts of into this one. */
export function Examples() {
  return (
    <ul className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
      {EXAMPLE_GARDENS.map((example) => (
        <li key={example.name} className="border-t-2 border-ink pt-3">
          <Example example={example} />
        </li>
      ))}
    </ul>
  );
}

function Example({ example }: { readonly example: ExampleGarden }) {
  const router = useRouter();
  const made = useMemo(() => setUp({}, example.setup), [example]);
  const [refused, setRefused] = useState<string | null>(null);
  const opening = useCommand(openExample, { done: `${example.name} is open`, undo: false });
  const copying = useCommand(copyExample, { done: "Copied into a what-if" });
  const open = async () => {
    const result = await opening.run({ example: example.name });
    setRefused(result.ok ? null : result.message);
    if (result.ok) router.push("/round");
  };
  const copy = async () => {
    const result = await copying.run({ example: example.name });
    setRefused(result.ok ? null : result.message);
    if (result.ok) router.push(`/batches/what-if?whatif=${result.value}`);
  };
  const { house, stands } = made;
  const text = (metres: number) => quantityText(metres, "length", example.units);
  return (
    <>
      <h2 className="text-3xl">{example.name}</h2>
      <p className="mt-1">{example.about}.</p>
      <dl className="mb-3 mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt className="text-soft">water</dt>
        <dd>{example.water}</dd>
        <dt className="text-soft">wanted</dt>
        <dd>{example.wanted}</dd>
      </dl>
      <StandsPicture
        stands={stands.map((stand, index) => ({ id: index, ...stand }))}
        house={house}
        label={`${example.name} to scale: ${stands.map(({ name }) => name.toLowerCase()).join(", ")}`}
        lengthWords={`${text(house.lengthM)} by ${text(house.widthM)}`}
        mostPx={230}
      />
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="strong" disabled={opening.busy} onClick={() => void open()}>
          Open {example.name}
        </Button>
        <Only right="plan">
          <Button look="quiet" disabled={copying.busy} onClick={() => void copy()}>
            Copy into a what-if here
          </Button>
        </Only>
      </div>
      {refused && (
        <p role="alert" className="mt-2 font-bold text-alarm">
          {refused}
        </p>
      )}
    </>
  );
}
