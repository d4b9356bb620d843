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
  /** `label` one line of 200 letters at most, `text` 4,000, `path` an address pattern, `id` the name of a node, `icon` that of a picture, `motion` and `screen` of these, `colour` a CSS hex colour. */
  sort: "label" | "text" | "path" | "id" | "icon" | "motion" | "screen" | "colour";
}
interface ShapedForm {
  /** A shape of its own, which the file's schema describes. */
  sort: "shaped";
}
interface MapForm extends ShapedForm {
  /** Those of its keys that may differ by view, each by itself. */
  parts: Readonly<Record<string, Form>>;
}

/** What the value of a property can be. `T` is its type; it stands in no value. */
export type Form<T = unknown> = (ChoiceForm | FlagForm | AmountForm | TextForm | MapForm | ShapedForm) & {
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
/** The name of an icon. */
export const icon = (): Form<string> & TextForm => ({ sort: "icon" });
/** The id of a motion. */
export const motionId = (): Form<Id> & TextForm => ({ sort: "motion" });
/** The id of a screen. */
export const screenId = (): Form<Id> & TextForm => ({ sort: "screen" });
/** A CSS hex colour. */
export const colour = (): Form<string> & TextForm => ({ sort: "colour" });
/** The id of a node. */
export const nodeId = (): Form<Id> & TextForm => ({ sort: "id" });
/** A shape of its own. */
export const shaped = <T>(): Form<T> & ShapedForm => ({ sort: "shaped" });
/** A shape of its own, some keys of which may differ by view. */
export const map = <T>(parts: MapForm["parts"]): Form<T> & MapForm => ({ sort: "shaped", parts });
/** The keys of a form that may differ by view, each by itself; undefined where a value is one whole. */
export const partsOf = (form: Form): MapForm["parts"] | undefined => ("parts" in form ? form.parts : undefined);
