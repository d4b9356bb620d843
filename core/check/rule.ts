import type { Edit } from "../edit/edit.js";
import type { Id } from "../frame/parts.js";
import type { NodeKey } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import type { Lens } from "../frame/look.js";
import type { WalkedClass } from "../walk/classes.js";
import type { Shown, WalkReport } from "../walk/report.js";

/** How bad it is: something is broken for whoever uses the app, may well be, or could be better. */
export const severities = ["fault", "doubt", "hint"] as const;
/** How bad a finding is, by one of those names. */
export type Severity = (typeof severities)[number];

/** What findings are about, in the order they are told. */
export const groups = {
  back: "Back",
  structure: "Structure",
  bars: "Bars and headers",
  keeping: "Keeping",
  links: "Doors and links",
  sizes: "Sizes",
  looks: "Looks",
  motion: "Motion",
} as const;
/** What a finding is about, by one of those names. */
export type Group = keyof typeof groups;

/** One target and one band. */
export interface Where {
  target: Id;
  band: Id;
}

/** The views in which an app does the same, what it looks like there, and what a walk through them found. */
export interface CheckedView extends WalkedClass {
  lens: Lens;
  /** Null as long as it was not walked. */
  walk: WalkReport | null;
}

/** A frame with all that rules ask of it. */
export interface Checked {
  frame: Frame;
  views: readonly CheckedView[];
}

/** One edit that takes a finding away, with what it comes to. */
export interface Mend {
  label: string;
  says: string;
  edit: Edit;
}

/** The events that show a finding, and the view to play them in. */
export interface Played extends Shown {
  where: Where;
}

/** What a rule found. */
export interface Found {
  /** The node it is about; null for the app as a whole. */
  node: Id | null;
  key?: NodeKey;
  /** What is wrong, in one line. */
  says: string;
  /** What makes it so. */
  detail?: string;
  /** Another severity than the rule's. */
  severity?: Severity;
  /** The views it was found in; in all of them where it is not said. */
  views?: readonly CheckedView[];
  /** The targets and bands it was found in, where that is not said by views. */
  where?: readonly Where[];
  /** The facts it holds with, where it does so with some alone. */
  facts?: string;
  show?: Played;
  mends?: readonly Mend[];
}

/** One thing that can be wrong with an app. */
export interface Rule {
  /** What it is called in files and in other tools. */
  code: string;
  group: Group;
  severity: Severity;
  /** What a person would suffer. */
  suffers: string;
  why: string;
  /** It asks what a walk found. */
  needsWalk?: true;
  find: (checked: Checked) => Found[];
}
