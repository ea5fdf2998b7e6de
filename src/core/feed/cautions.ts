/** One line where the hand is, and more behind it. They defer to labels, data sheets and local law. */
export interface Caution {
  readonly short: string;
  readonly more: string;
}

export const CAUTIONS = {
  acid: {
    short: "Acid: goggles and gloves, acid into water, never the other way; far from chlorine cleaner.",
    more: "Ventilate and keep water at hand. Acid with hypochlorite gives chlorine gas; acid into bicarbonate water foams. Store apart, locked and labelled. The product's label and safety data sheet and local law go before this page.",
  },
  strongAcid: {
    short: "Strong nitric or sulfuric acid: for trained hands; face shield, apron, never alone.",
    more: "Nitric acid never with organics, citric acid, metals or chelates: brown, poisonous fumes. No battery or descaling acid for food. Acid into bicarbonate water foams carbon dioxide: no pits, no closed stores. In some countries it may not be sold to or held by the public: local law, the label and the safety data sheet go before this page.",
  },
  salts: {
    short: "Nitrates are oxidisers: dry, away from fuel and acid. Mask and gloves for dust.",
    more: "Some nitrates may not be sold to or held by the public in some countries: follow local law, the label and the safety data sheet. Nothing mixed for plants goes into drinks containers.",
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
  sprouts: {
    short: "Shoots carry a food-safety risk: food-grade seed, clean trays, cold chain; throw mouldy trays away.",
    more: "Root hairs are not mould: they are white, even and vanish when misted; mould is patchy, grey and smells. Follow the local food-safety rules.",
  },
} as const satisfies Record<string, Caution>;

export type CautionKey = keyof typeof CAUTIONS;
