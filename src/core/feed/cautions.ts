/** One line where the hand is, and more behind it. They defer to labels, data sheets and local law. */
export interface Caution {
  readonly short: string;
  readonly more: string;
}

export const CAUTIONS = {
  acid: {
    short: "Acid: goggles and gloves, acid into water, never the other way; far from chlorine cleaner.",
    more: "Ventilate and keep water at hand. Acid with hypochlorite gives chlorine gas; acid into bicarbonate water foams carbon dioxide: no pits, no closed stores. No battery or descaling acid for food. Store apart from lyes and nitrates, locked and labelled. The product's label and safety data sheet and local law go before this page.",
  },
  strongAcid: {
    short: "Strong nitric or sulfuric acid: for trained hands; face shield, apron, never alone.",
    more: "Nitric acid never with organics, citric acid, metals or chelates: brown, poisonous fumes. In some countries it may not be sold to or held by the public: local law, the label and the safety data sheet go before this page.",
  },
  base: {
    short: "What raises pH: goggles and gloves, slowly into water; never together with acid.",
    more: "Potassium bicarbonate or carbonate in a loop, never sodium hydroxide: sodium stays. Carbonates foam with acid, lyes grow hot in water. Away from aluminium and from chlorine cleaner; the label and the safety data sheet go before this page.",
  },
  parts: {
    short: "Parts A and B never meet before the water: one in, stir, then the other. Gloves and goggles.",
    more: "Read the product’s own label and safety data sheet. Product into water, never back into its bottle. Caps and spoons used for plants are not used for food, and nothing mixed for plants goes into drinks containers.",
  },
  cleaning: {
    short: "Chlorine cleaner never with acid, ammonium salts or urea: poisonous gas. Gloves, goggles, open doors.",
    more: "Hypochlorite with acid gives chlorine, with ammonium or urea chloramines: rinse the one away before the other. By the product’s label, for the time that it says; then rinse with potable water until nothing smells.",
  },
  eaten: {
    short: "For the table: no feed on what is eaten, potable water for the last rinse.",
    more: "Stop wetting leaves with feed before the harvest. Leafy crops store nitrate, most of all in dark months: less nitrate in the feed, picked late in the day. The local food-safety rules go before this page.",
  },
  salts: {
    short: "Nitrates are oxidisers: dry, away from fuel and acid. Mask and gloves for dust.",
    more: "Ammonium salts and urea never near chlorine cleaner (chloramines). Some nitrates may not be sold to or held by the public in some countries: follow local law, the label and the safety data sheet. Nothing mixed for plants goes into drinks containers.",
  },
  lifting: {
    short: "A full 20 L can weighs over 20 kg: fill in place or carry in two goes.",
    more: "Lift with the legs, keep the floor dry, and ask for a second pair of hands.",
  },
  discharge: {
    short: "What is drained is fertiliser: onto a bed that needs it, never a drain or ditch.",
    more: "Not onto soil that is already salty. Local rules may limit release.",
  },
  electric: {
    short: "Pump off at the socket before a hand goes into the tank.",
    more: "Pumps, lamps and heat mats near water belong on a residual-current protected circuit with a drip loop, fitted by a licensed electrician.",
  },
  mats: {
    short: "Electricity beside water: mats and lamps on a residual-current breaker, plugs and leads off the wet shelf.",
    more: "Only mats, lamps and leads that are made for wet places; the thermostat's sensor in a tray, not in the air. Fixed wiring is a licensed electrician's work; local rules go before this page.",
  },
  heater: {
    short: "Heaters: clear of film and plants, on a thermostat; no unvented flame where people work.",
    more: "Keep the clearance that the maker tells, a carbon-monoxide alarm where anything burns, and fuel outside. Gas and wiring are licensed trades; local rules go before this page.",
  },
  plantProtection: {
    short:
      "Sprays and released beneficials: the product's label and local rules first; write product, dose and waiting days.",
    more: "Gloves, mask and clothing as the label says; keep people out until it allows; never on flowers that bees visit. What is eaten waits its days. A licence may be needed to buy or use it.",
  },
  fodder: {
    short: "Mouldy fodder can kill animals: look at and smell every tray, and throw mouldy ones away.",
    more: "Seed for feed only, never dressed seed; clean trays between crops; change feed slowly over a week or two. Fodder is wet: it does not replace hay and grain by weight. A veterinarian or feed adviser goes before this page.",
  },
  sprouts: {
    short: "Shoots carry a food-safety risk: food-grade seed, clean trays, cold chain; throw mouldy trays away.",
    more: "Root hairs are not mould: they are white, even and vanish when misted; mould is patchy, grey and smells. Follow the local food-safety rules.",
  },
} as const satisfies Record<string, Caution>;

export type CautionKey = keyof typeof CAUTIONS;
