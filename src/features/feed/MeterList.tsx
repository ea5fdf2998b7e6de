"use client";
import { COMMON_METERS } from "@/core/feed/meters";
import { METER } from "@/core/garden/entities/feed";
import { fieldOf } from "@/core/garden/entities/field";
import type { MeterRow } from "@/core/garden/garden";
import { useOpened } from "@/features/frame/drafts";
import { LibraryList } from "@/features/frame/LibraryList";
import { Only } from "@/features/frame/who";
import { addCommonMeter } from "@/server/feed/library";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { later } from "@/ui/later";

const MeterForm = later(() => import("./MeterForm").then((part) => part.MeterForm));

const SCALE = fieldOf(METER, "ecScale");
const scaleWords = (scale: string) => (SCALE.type === "choice" && SCALE.labels?.[scale]) || scale;

/** What tanks are read with: a reading can then be typed as the meter shows it. */
export function MeterList({ meters }: { readonly meters: readonly MeterRow[] }) {
  const [editing, setEditing] = useOpened<number | "new" | "library">("meters");
  const close = () => setEditing(null);
  return (
    <section aria-labelledby="meters" className="mt-10 max-w-2xl">
      <h2 id="meters" className="text-2xl">
        Meters
      </h2>
      <p className="text-soft">
        {meters.length === 0
          ? "Name the meter that you read tanks with, and a reading is typed just as it shows it: for instance 900 on a pen in ppm ×500 is 1.8 mS/cm."
          : "A reading is typed as the meter shows it."}
      </p>
      <ul className="mt-2">
        {meters.map(({ id, name, ecScale, compensated }) => (
          <li key={id} className="flex items-center justify-between gap-3 border-t border-rule py-1">
            <span>
              {name}{" "}
              <span className="text-sm text-soft">
                {scaleWords(ecScale)}
                {!compensated && ", not corrected for temperature"}
              </span>
            </span>
            <Only right="plan">
              <Button
                look="quiet"
                className="!min-h-9 !text-base"
                aria-label={`Change ${name}`}
                onClick={() => setEditing(id)}
              >
                Change
              </Button>
            </Only>
          </li>
        ))}
      </ul>
      <Only right="plan">
        <Button className="mt-3" onClick={() => setEditing("new")}>
          New meter
        </Button>{" "}
        <Button className="mt-3" onClick={() => setEditing("library")}>
          Common meters
        </Button>
      </Only>
      <Drawer
        open={editing !== null}
        onClose={close}
        title={editing === "library" ? "Common meters" : editing === "new" ? "New meter" : "Change the meter"}
      >
        {editing === "library" && (
          <LibraryList
            items={COMMON_METERS.map(({ name, about, compensated }) => ({
              name,
              about,
              from: `Common practice; ${compensated ? "corrects" : "does not correct"} for temperature by itself.`,
            }))}
            there={meters.map(({ name }) => name)}
            action={addCommonMeter}
          />
        )}
        {editing !== null && editing !== "library" && (
          <MeterForm meter={meters.find(({ id }) => id === editing) ?? null} onDone={close} />
        )}
      </Drawer>
    </section>
  );
}
