export const QUESTIONS = [
  { name: "fit", words: "How many plants fit?" },
  { name: "water", words: "How much water does each plant get?" },
  { name: "tank", words: "How much goes into the tank?" },
  { name: "sow", words: "When do I sow, and how many?" },
  { name: "week", words: "How many a week?" },
  { name: "chain", words: "Does it fit all the way?" },
  { name: "pump", words: "Will this pump do?" },
] as const;
export type Question = (typeof QUESTIONS)[number]["name"];

/** The question of an address; the first one where it names none. */
export function questionOf(query: string | string[] | undefined): Question {
  return QUESTIONS.find(({ name }) => name === query)?.name ?? "fit";
}
