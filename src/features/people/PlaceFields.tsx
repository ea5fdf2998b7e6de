"use client";
import { useEffect, useRef, useState } from "react";
import { Controller, useFormContext, useWatch } from "react-hook-form";
import type { PlaceProposal } from "@/core/people/place";
import { ChoiceBlank, QuantityBlank, TextBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { Field } from "@/ui/Field";

const WAIT_MS = 150;
const MEASURES = [
  { value: "metric", label: "m, L, °C" },
  { value: "us", label: "ft, US gal, °F" },
] as const;

/** Fields that a place proposes; what somebody changed by hand stays. */
const PROPOSED = ["latitudeDeg", "timeZone", "unitSystem", "currency"] as const;

/** Where the garden lies, and what that says of its latitude, time, measures and prices: all proposals, all to be changed. */
export function PlaceFields({ signsIn = false }: { readonly signsIn?: boolean }) {
  const { control, getValues, setValue, formState } = useFormContext();
  const [found, setFound] = useState<readonly PlaceProposal[]>([]);
  const place = (useWatch({ control, name: "place" }) ?? "") as string;
  const changedRef = useRef(new Set<string>());
  const [taken, setTaken] = useState<string | null>(null);
  const take = (proposal: PlaceProposal) => {
    for (const name of PROPOSED)
      if (!changedRef.current.has(name) && proposal[name] !== null) setValue(name, proposal[name]);
    setTaken(proposal.label);
  };
  const takeRef = useRef(take);
  useEffect(() => {
    takeRef.current = take;
  });
  useZoneProposal(() => getValues("place") === "", takeRef);
  useEffect(() => {
    const known = found.find(({ label }) => label === place);
    if (known || place.trim() === "") return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      void placesFor(`q=${encodeURIComponent(place)}`, stop.signal).then((places) => {
        setFound(places);
        // The largest place of the name is proposed at once; another one of the list can be chosen.
        if (places[0]) takeRef.current(places[0]);
        else setTaken(null);
      });
    }, WAIT_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [place, found]);
  const problems = [...PROPOSED, "signInName" as const].flatMap((name) => {
    const message = formState.errors[name]?.message;
    return typeof message === "string" ? [{ name, words: message }] : [];
  });
  const hand = (name: string, onChange: (value: unknown) => void) => (value: unknown) => {
    changedRef.current.add(name);
    onChange(value);
  };
  return (
    <>
      <Controller
        name="place"
        control={control}
        render={({ field, fieldState }) => (
          <Field
            label="Place"
            hint={
              taken === null && place.trim() !== ""
                ? "Not in the list: say below how far north or south it lies."
                : "a town near it is enough"
            }
            error={fieldState.error?.message}
          >
            {(aria) => (
              <>
                <input
                  {...aria}
                  ref={field.ref}
                  className="input"
                  list="places"
                  autoComplete="off"
                  value={(field.value as string) ?? ""}
                  onChange={(event) => {
                    field.onChange(event.target.value);
                    const chosen = found.find(({ label }) => label === event.target.value);
                    if (chosen) take(chosen);
                  }}
                  onBlur={field.onBlur}
                />
                <datalist id="places">
                  {found.map(({ label }) => (
                    <option key={label} value={label} />
                  ))}
                </datalist>
              </>
            )}
          </Field>
        )}
      />
      <div className="mt-4 border-t border-rule pt-2">
        <p className="text-soft">
          {taken === null ? "Taken from your browser" : `Taken from ${taken}`}; change what is wrong:
        </p>
        <Sentence size="line" problems={problems}>
          It lies at{" "}
          <Controller
            name="latitudeDeg"
            control={control}
            render={({ field }) => (
              <QuantityBlank
                name="latitudeDeg"
                label="Latitude"
                dimension="latitude"
                value={field.value as number}
                onValue={hand("latitudeDeg", field.onChange)}
              />
            )}
          />
          , keeps the time of{" "}
          <Controller
            name="timeZone"
            control={control}
            render={({ field }) => (
              <TextBlank
                name="timeZone"
                label="Time zone"
                value={field.value as string}
                list="zones"
                onValue={hand("timeZone", field.onChange)}
              />
            )}
          />
          , measures in{" "}
          <Controller
            name="unitSystem"
            control={control}
            render={({ field }) => (
              <ChoiceBlank
                name="unitSystem"
                label="Measures"
                value={field.value as "metric" | "us"}
                options={MEASURES}
                onValue={hand("unitSystem", field.onChange)}
              />
            )}
          />{" "}
          and counts in{" "}
          <Controller
            name="currency"
            control={control}
            render={({ field }) => (
              <TextBlank
                name="currency"
                label="Currency"
                value={field.value as string}
                onValue={hand("currency", field.onChange)}
              />
            )}
          />
          {signsIn && (
            <>
              . You sign in as <SignInName />
            </>
          )}
          .
        </Sentence>
        <datalist id="zones">
          {Intl.supportedValuesOf("timeZone").map((zone) => (
            <option key={zone} value={zone} />
          ))}
        </datalist>
      </div>
    </>
  );
}

/** The name to sign in with, from the name of the person until it is changed. */
function SignInName() {
  const { control, setValue } = useFormContext();
  const name = (useWatch({ control, name: "name" }) ?? "") as string;
  const changedRef = useRef(false);
  useEffect(() => {
    if (!changedRef.current) setValue("signInName", signInNameOf(name));
  }, [name, setValue]);
  return (
    <Controller
      name="signInName"
      control={control}
      render={({ field }) => (
        <TextBlank
          name="signInName"
          label="Sign-in name"
          value={field.value as string}
          onValue={(value) => {
            changedRef.current = true;
            field.onChange(value);
          }}
        />
      )}
    />
  );
}

/** The first name, small; all of the name where that is too short. @example signInNameOf("Ada May") // "ada" */
export function signInNameOf(name: string): string {
  const small = name.trim().toLowerCase();
  const [first = ""] = small.split(/\s+/u);
  const word = (text: string) => text.replaceAll(/[^\p{L}\p{N}@._+-]/gu, "");
  return word(first).length >= 3 ? word(first) : word(small);
}

function useZoneProposal(isOpen: () => boolean, takeRef: React.RefObject<(proposal: PlaceProposal) => void>) {
  const openRef = useRef(isOpen);
  useEffect(() => {
    const stop = new AbortController();
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    void placesFor(`zone=${encodeURIComponent(timeZone)}`, stop.signal).then(([place]) => {
      // Its time zone says how the browser's owner measures and counts; the place is another matter.
      if (place && openRef.current()) takeRef.current(place);
    });
    return () => stop.abort();
  }, [takeRef]);
}

async function placesFor(query: string, signal: AbortSignal): Promise<readonly PlaceProposal[]> {
  try {
    const answer = await fetch(`/places?${query}`, { signal });
    return answer.ok ? ((await answer.json()) as readonly PlaceProposal[]) : [];
  } catch {
    // Without an answer the proposals stay as they are, and can be typed.
    return [];
  }
}
