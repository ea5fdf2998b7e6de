"use client";
import type { ComponentProps } from "react";
import { dayInWords, type Day } from "@/core/units/day";
import type { Dimension } from "@/core/units/dimensions";
import { editText } from "@/core/units/format";
import { DayInput } from "../DayInput";
import { QuantityInput, type QuantityValue } from "../QuantityInput";
import { useUnits } from "../units";
import { useBlankAria } from "./Sentence";

interface Common {
  readonly name: string;
  /** What a screen reader says, and errors call it. */
  readonly label: string;
}

/** As wide as what stands in it, so that the sentence reads on. */
const widthFor = (text: string, least: number) => ({ width: `calc(${Math.max(least, text.length)}ch + 0.9em)` });

/** A blank for a quantity, typed with or without its unit. */
export function QuantityBlank({
  name,
  label,
  dimension,
  value,
  written,
  onValue,
  ...rest
}: Common & {
  readonly dimension: Dimension;
  readonly value: QuantityValue;
  readonly written?: string;
  readonly onValue: (value: QuantityValue, written: string) => void;
} & Pick<ComponentProps<"input">, "placeholder" | "onBlur">) {
  const units = useUnits();
  const shown = written ?? (typeof value === "number" ? editText(value, dimension, units) : (value ?? ""));
  return (
    <QuantityInput
      {...rest}
      {...useBlankAria(name)}
      aria-label={label}
      className="blank"
      style={widthFor(shown || (rest.placeholder ?? ""), 2)}
      placeholder={rest.placeholder ?? "?"}
      dimension={dimension}
      value={value}
      written={written}
      onValue={onValue}
    />
  );
}

/** A blank for one of a few words. */
export function ChoiceBlank<Value extends string | number>({
  name,
  label,
  value,
  options,
  onValue,
}: Common & {
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onValue: (value: Value) => void;
}) {
  const chosen = options.find((option) => option.value === value)?.label ?? "";
  return (
    <select
      {...useBlankAria(name)}
      aria-label={label}
      className="blank blank-choice"
      style={{ width: `calc(${chosen.length}ch + 1.5em)` }}
      value={String(value)}
      onChange={(event) => onValue(options.find((option) => String(option.value) === event.target.value)!.value)}
    >
      {options.map((option) => (
        <option key={String(option.value)} value={String(option.value)}>
          {option.label}
        </option>
      ))}
    </select>
  );
}

/** A blank for a day, with its weekday. */
export function DayBlank({
  name,
  label,
  value,
  onValue,
}: Common & { readonly value: Day | null; readonly onValue: (day: Day | null) => void }) {
  return (
    <span className="inline-flex items-baseline gap-2">
      {value !== null && <span>{dayInWords(value, "long").split(" ")[0]}</span>}
      <DayInput {...useBlankAria(name)} aria-label={label} bare className="blank" value={value} onValue={onValue} />
    </span>
  );
}

/** A blank for a word or a name. */
export function TextBlank({
  name,
  label,
  value,
  onValue,
  ...rest
}: Common & { readonly value: string; readonly onValue: (value: string) => void } & Pick<
    ComponentProps<"input">,
    "placeholder" | "list"
  >) {
  return (
    <input
      {...rest}
      {...useBlankAria(name)}
      aria-label={label}
      type="text"
      autoComplete="off"
      className="input blank"
      style={widthFor(value || (rest.placeholder ?? ""), 6)}
      value={value}
      onChange={(event) => onValue(event.target.value)}
    />
  );
}
