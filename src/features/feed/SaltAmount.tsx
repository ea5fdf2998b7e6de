import { liquidL, type Salt } from "@/core/feed/salts";
import { Quantity } from "@/ui/units";

/** How much of a salt: a liquid by its millilitres, anything else by weight. */
export function SaltAmount({
  salt,
  grams,
}: {
  readonly salt: Pick<Salt, "form" | "densityKgPerL">;
  readonly grams: number;
}) {
  const litres = liquidL(salt, grams);
  return litres === null ? <Quantity value={grams} dimension="mass" /> : <Quantity value={litres} dimension="dose" />;
}
