import { cityMapping, type CityData } from "city-timezones";
import { SHOWN_PLACES, type PlaceProposal } from "@/core/people/place";

/** Prices as they are written in a country. */
const CURRENCY: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    "AT BE HR CY EE FI FR DE GR IE IT LV LT LU MT NL PT SK SI ES ME XK AD MC SM VA"
      .split(" ")
      .map((code) => [code, "€"]),
  ),
  ...Object.fromEntries(
    "US PR GU VI LR CA AU NZ SG HK MX CL CO AR UY BS BB JM TT EC SV PA ZW NA FJ".split(" ").map((code) => [code, "$"]),
  ),
  ...Object.fromEntries("SE NO DK IS".split(" ").map((code) => [code, "kr"])),
  GB: "£",
  EG: "E£",
  JP: "¥",
  CN: "¥",
  IN: "₹",
  PK: "Rs",
  LK: "Rs",
  NP: "Rs",
  KR: "₩",
  BR: "R$",
  CH: "CHF",
  LI: "CHF",
  PL: "zł",
  CZ: "Kč",
  HU: "Ft",
  RO: "lei",
  BG: "лв",
  TR: "₺",
  UA: "₴",
  RU: "₽",
  ZA: "R",
  IL: "₪",
  TH: "฿",
  VN: "₫",
  PH: "₱",
  MY: "RM",
  ID: "Rp",
  NG: "₦",
  KE: "KSh",
  UG: "USh",
  TZ: "TSh",
  GH: "GH₵",
  MA: "DH",
  AE: "DH",
  SA: "SR",
  PE: "S/",
  BO: "Bs",
  PY: "₲",
  CR: "₡",
  GT: "Q",
  BD: "৳",
  ET: "Br",
  RS: "din",
};
const US_MEASURES = new Set(["US", "PR", "GU", "VI", "LR"]);

const plain = (text: string) => text.normalize("NFKD").replaceAll(/\p{M}/gu, "").toLowerCase();

const BY_SIZE: readonly { readonly key: string; readonly city: CityData }[] = [...cityMapping]
  .sort((a, b) => b.pop - a.pop)
  .map((city) => ({ key: plain(city.city), city }));

const labelOf = ({ city, province, country, iso2 }: CityData) =>
  iso2 === "US" || iso2 === "CA" || iso2 === "AU" ? `${city}, ${province}, ${country}` : `${city}, ${country}`;

function proposalOf(city: CityData): PlaceProposal {
  return {
    label: labelOf(city),
    latitudeDeg: Math.round(city.lat * 10) / 10,
    timeZone: city.timezone,
    unitSystem: US_MEASURES.has(city.iso2) ? "us" : "metric",
    currency: CURRENCY[city.iso2] ?? null,
  };
}

/** Places whose names begin with a text, those of just this name and the largest first; what is typed behind a comma is looked for in their country. */
export function placesLike(text: string): PlaceProposal[] {
  const [name = "", ...rest] = plain(text).split(",");
  const behind = rest.join(",").trim();
  if (name.trim() === "") return [];
  const found: PlaceProposal[] = [];
  // A place of just this name goes before larger ones that only begin so.
  const isWhole = ({ key }: (typeof BY_SIZE)[number]) => key === name.trim();
  for (const { key, city } of [...BY_SIZE.filter(isWhole), ...BY_SIZE.filter((one) => !isWhole(one))]) {
    if (!key.startsWith(name.trim()) || !plain(labelOf(city)).includes(behind)) continue;
    const proposal = proposalOf(city);
    if (!found.some(({ label }) => label === proposal.label)) found.push(proposal);
    if (found.length === SHOWN_PLACES) break;
  }
  return found;
}

/** The largest place of a time zone, to begin with; null for a zone that has none. */
export function placeOfZone(timeZone: string): PlaceProposal | null {
  const found = BY_SIZE.find(({ city }) => city.timezone === timeZone);
  return found ? proposalOf(found.city) : null;
}
