import type { Id } from "./parts.js";

/** One value of a choice, in the words it has everywhere. */
export interface ValueWords {
  /** The name of the value. */
  label: string;
  /** The same where room is small; the label where it is absent. */
  short?: string;
  /** What it is, in a few words, for a choice to explain itself. */
  hint?: string;
  /** With its article, in a sentence: “a side panel”. */
  named?: string;
  /** What it causes, in one line. */
  causes?: string;
}

/** The values of a choice in their order. A number, as in `values`, is never one. */
export type Choices<T extends string = string> = Readonly<Record<T, ValueWords>>;

interface ChoiceForm {
  sort: "choice";
  choices: Choices;
}
interface FlagForm {
  sort: "flag";
}
interface AmountForm {
  /** `whole`: an integer. */
  sort: "whole" | "number";
  least: number;
  most: number;
}
interface TextForm {
  /** `label` one line of 200 letters at most, `text` 4,000, `path` an address pattern, `id` the name of a node. */
  sort: "label" | "text" | "path" | "id";
}
interface TableForm {
  /** A table by the ids of bands or targets; the values are of another form. */
  sort: "table";
  of: Form;
}
interface ShapedForm {
  /** A shape of its own, which the file's schema describes. */
  sort: "shaped";
}

/** What the value of a property can be. `T` is its type; it stands in no value. */
export type Form<T = unknown> = (ChoiceForm | FlagForm | AmountForm | TextForm | TableForm | ShapedForm) & {
  readonly type?: T;
};

/** One of a few values, each with its words. */
export const choice = <T extends string>(choices: Choices<T>): Form<T> & ChoiceForm => ({ sort: "choice", choices });
/** True or false. */
export const flag = (): Form<boolean> & FlagForm => ({ sort: "flag" });
/** A whole number within bounds. */
export const whole = (least: number, most: number): Form<number> & AmountForm => ({ sort: "whole", least, most });
/** Any number within bounds. */
export const number = (least: number, most: number): Form<number> & AmountForm => ({ sort: "number", least, most });
/** A text in one line. */
export const label = (): Form<string> & TextForm => ({ sort: "label" });
/** A longer text. */
export const text = (): Form<string> & TextForm => ({ sort: "text" });
/** An address pattern. */
export const path = (): Form<string> & TextForm => ({ sort: "path" });
/** The id of a node. */
export const nodeId = (): Form<Id> & TextForm => ({ sort: "id" });
/** A table by id whose values are of a form. */
export const table = <T>(of: Form<T>): Form<Record<Id, T>> & TableForm => ({ sort: "table", of });
/** A shape of its own. */
export const shaped = <T>(): Form<T> & ShapedForm => ({ sort: "shaped" });
