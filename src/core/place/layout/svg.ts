import { requireLayout } from "./document";
import { isInSight, lineSitePoints, standLayout, toHouse } from "../standLayout";
import type { LayoutDocument, LayoutStand } from "./document";
import { inMm } from "../../units/rounded";

const MARGIN_M = 1;
const SITE_RADIUS_M = 0.03;
const BEGIN = '<metadata id="seed-round-layout">';
const END = "</metadata>";

/** A layout as a drawing in metres, which carries the layout itself along, so that it can be brought in again. */
export function layoutSvg(layout: LayoutDocument): string {
  requireLayout("layoutSvg", layout);
  const right = Math.max(1, ...layout.houses.map(({ xM, lengthM }) => xM + lengthM)) + MARGIN_M;
  const bottom = Math.max(1, ...layout.houses.map(({ yM, widthM }) => yM + widthM)) + MARGIN_M;
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${-MARGIN_M} ${-MARGIN_M} ${inMm(right + MARGIN_M)} ${inMm(bottom + MARGIN_M)}" font-family="sans-serif">`,
    `<title>${escaped(layout.name)}</title>`,
    `${BEGIN}${escaped(JSON.stringify(layout))}${END}`,
    ...layout.houses.map((house) =>
      [
        `<g transform="translate(${house.xM} ${house.yM})">`,
        `<rect width="${house.lengthM}" height="${house.widthM}" fill="none" stroke="#1b2a30" stroke-width="0.08"/>`,
        `<text y="-0.2" font-size="0.6">${escaped(house.name)}</text>`,
        ...layout.stands.filter((stand) => stand.house === house.name).map(standSvg),
        "</g>",
      ].join("\n"),
    ),
    "</svg>",
    "",
  ].join("\n");
}

function standSvg(stand: LayoutStand): string {
  const { lines } = standLayout(stand.spec);
  const sites = lineSitePoints(stand.spec);
  const seen = lines.filter((_, line) => isInSight(stand.spec, line));
  const rects = seen
    .map((line) => toHouse(line, stand))
    .map(
      ({ xM, yM, lengthM, widthM }) =>
        `<rect x="${inMm(xM)}" y="${inMm(yM)}" width="${inMm(lengthM)}" height="${inMm(widthM)}" fill="#fbf8f0" stroke="#5d6a6b" stroke-width="0.02"/>`,
    );
  const discs = seen.flatMap((line) =>
    sites.map((site) => {
      const { xM, yM } = toHouse({ xM: line.xM + site.xM, yM: line.yM + site.yM, lengthM: 0, widthM: 0 }, stand);
      return `<circle cx="${inMm(xM)}" cy="${inMm(yM)}" r="${SITE_RADIUS_M}"/>`;
    }),
  );
  return [
    "<g>",
    `<title>${escaped(stand.name)}</title>`,
    ...rects,
    `<g fill="#3c7a3f">`,
    ...discs,
    "</g>",
    `<text x="${inMm(stand.xM)}" y="${inMm(stand.yM - 0.1)}" font-size="0.4">${escaped(stand.name)}</text>`,
    "</g>",
  ].join("\n");
}

/** The layout that a drawing of ours carries, as text; null in any other text. */
export function layoutTextInSvg(text: string): string | null {
  const from = text.indexOf(BEGIN);
  const to = text.indexOf(END, from);
  return from < 0 || to < 0 ? null : unescaped(text.slice(from + BEGIN.length, to));
}

const ENTITIES: Readonly<Record<string, string>> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
const escaped = (text: string) => text.replaceAll(/[&<>"]/gu, (character) => ENTITIES[character]!);
const unescaped = (text: string) =>
  text.replaceAll(
    /&(?:amp|lt|gt|quot|apos|#39);/gu,
    (entity) => Object.entries(ENTITIES).find(([, one]) => one === entity)?.[0] ?? "'",
  );
