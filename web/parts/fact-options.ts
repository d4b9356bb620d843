import { type Fact, type FactValue, factValues, sure } from "../../core/index.js";

/** The values that a fact can have, to choose among; `word` says each. */
export const factOptions = (
  fact: Fact,
  word: (value: FactValue) => string = String,
): { value: string; label: string }[] =>
  factValues(fact).map((value) => ({ value: String(value), label: word(value) }));

/** The value of the fact that was chosen so. */
export const chosenValue = (fact: Fact, option: string): FactValue =>
  sure(factValues(fact).find((value) => String(value) === option));
