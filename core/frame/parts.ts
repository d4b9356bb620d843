/** The name of a node, fact, target, band, motion, journey or link case: `[a-z][A-Za-z0-9]{0,39}`. */
export type Id = string;

/** What a fact can be: one of its values, or true and false. */
export type FactValue = string | boolean;
/** The facts of an app at one moment, by id. */
export type Facts = Readonly<Record<Id, FactValue>>;
/** Values by the names of a screen's params. */
export type Params = Readonly<Record<string, string>>;
/** No values; the same object wherever there are none. */
export const noParams: Params = {};
/** A CSS hex colour. */
export type Hex = string;

/** How a node appears when its stack shows it; all but `push` are overlays. */
export type Opens = "push" | "sheet" | "fullscreen" | "dialog" | "side";
/** How a hub shows its tabs. */
export type Face = "bar" | "top" | "rail" | "panel" | "drawer" | "none";
/** A face that there is something to see of. */
export type SeenFace = Exclude<Face, "none">;
/** What a tab keeps when it is left: everything, its entries, or nothing. */
export type Keep = "live" | "place" | "fresh";
/** What choosing the tab already chosen does. */
export type Again = "root" | "top" | "none";
/** Where Back goes from a tab's first screen. */
export type HubBack = "start" | "visited" | "leave";
/** How an opened screen treats what is there: laid on it, in place of the screen that asked, or clearing the way. */
export type How = "add" | "replace" | "clear";
/** What a motion can be of: a way of opening, a change of tab, a replacement. */
export type MotionKind = "push" | "sheet" | "fullscreen" | "dialog" | "side" | "switch" | "replace";

/** A kind of device, by how Back works there. */
export interface Target {
  id: Id;
  label: string;
  /** The device has a system Back of its own. Default true. */
  systemBack?: boolean;
  /** A swipe from the edge goes up. Default false. */
  edgeSwipe?: boolean;
}

/** A range of widths, from `from` (CSS px) up to the next band. */
export interface Band {
  id: Id;
  from: number;
}

/** Something true of the person or the app, such as being signed in. */
export interface Fact {
  id: Id;
  label: string;
  /** Its possible values. Default `[false, true]`. */
  values?: string[];
  /** Its value when the app is launched. Default the first value. */
  launch?: FactValue;
  /** It outlives the end of the app's process. Default true. */
  lasting?: boolean;
}

/** What has to be so before a person may see a node: a fact with one of some values; else `otherwise` stands in, and what was asked waits if `resume`. */
export interface Need {
  fact: Id;
  is: FactValue | FactValue[];
  otherwise?: Id;
  resume?: boolean;
}

/** A range of views: on some targets, in the bands from one to another (both are in it), low ones alone. What is absent limits nothing. */
export interface Views {
  on?: Id[];
  from?: Id;
  to?: Id;
  short?: true;
}
/** What of a node, or of the frame, is other in a range of views. A map is set key by key; null in it is as if not said here. */
export interface Variation extends Views {
  set: Record<string, unknown>;
}
/** Where and while something is there. */
export interface Condition extends Views {
  facts?: Record<Id, FactValue>;
}
/** The conditions of which one must hold for something to be there; an empty list: it never is. */
export type Only = Condition | Condition[];

/** Values by name, in which `{name}` is a param of the screen and `{draft.field}` what was typed there. */
export type Template = Record<string, string>;

/** Opens a node, with values for its address and others handed over. */
export interface DoOpen {
  kind: "open";
  to: Id;
  params?: Template;
  with?: Template;
  how?: How;
  /** How it opens by this way in, whatever it says itself. */
  as?: Opens;
  /** The motion of this way in, there and back. */
  motion?: Id;
}
/** Goes back as the target does. */
export interface DoBack {
  kind: "back";
}
/** Takes the nearest overlay off, and gives values back. */
export interface DoClose {
  kind: "close";
  give?: Template;
}
/** Goes to the first entry of the innermost stack. */
export interface DoRoot {
  kind: "root";
}
/** Sets a fact, then does something more. */
export interface DoSet {
  kind: "set";
  fact: Id;
  is: FactValue;
  then?: Do;
}
/** Opens or closes the drawer. */
export interface DoMenu {
  kind: "menu";
}
/** When a screen asks before it is left: with a draft that would be gone, or always. */
export interface Leave {
  when: "draft" | "always";
  /** What it asks. */
  ask: string;
  /** Actions that leave without being asked: its own, or those of another screen. */
  free?: (Id | { in: Id; action: Id })[];
}

/** What an action, or a screen after a while, does. */
export type Do = DoOpen | DoBack | DoClose | DoRoot | DoSet | DoMenu;

/** Something on a screen that can be touched, and what it does. */
export interface Action {
  id: Id;
  label: string;
  /** Where it stands: in the body, as a row above the body's own, at the header's start or end, or in the footer. */
  place: "body" | "row" | "start" | "end" | "footer";
  icon?: string;
  only?: Only;
  do: Do;
}

/** Nothing yet. */
export interface BlankBody {
  kind: "blank";
}
/** A text to read. */
export interface TextBody {
  kind: "text";
  text: string;
}
/** Rows, one below the other or in a grid. */
export interface ListBody {
  kind: "list" | "grid";
  /** How many rows. */
  rows: number;
  /** The label of a row; `{n}` is its number, from 1. */
  row: string;
  opens?: Id;
  /** The param that gets the row's number. */
  param?: string;
}
/** One field of a form. */
export interface Field {
  id: Id;
  label: string;
  input: "text" | "note" | "switch";
}
/** Fields to fill in. */
export interface FormBody {
  kind: "form";
  fields: Field[];
}
/** Messages, with a reply at the foot. */
export interface ThreadBody {
  kind: "thread";
  rows: number;
}
/** A picture that fills the screen. */
export interface MediaBody {
  kind: "media";
}
/** What a screen has in its middle. */
export type Body = BlankBody | TextBody | ListBody | FormBody | ThreadBody | MediaBody;

/** How a node shows as a tab of its hub. */
export interface Tab {
  label?: string;
  icon?: string;
  activeIcon?: string;
  badge?: number | "dot";
  hidden?: boolean;
  only?: Only;
}

/** How a track goes from one value to another: evenly, by a curve (CSS Easing), as a spring, or in steps. */
export type Ease =
  | "linear"
  | { bezier: [number, number, number, number] }
  | { spring: { mass: number; stiffness: number; damping: number; velocity?: number } }
  | { steps: number };

/** One property of a layer over time: `delay` and `ms` in milliseconds; a spring has no `ms`. */
export interface Track {
  property: "x" | "y" | "scale" | "opacity" | "turn";
  from: number;
  to: number;
  delay?: number;
  ms?: number;
  ease: Ease;
}

/** The tracks of both layers of a move, and which of them lies above. */
export interface MotionShape {
  incoming: Track[];
  outgoing: Track[];
  above: "incoming" | "outgoing";
}

/** How a move looks: forward, and back as its mirror or in a shape of its own. `scrim` is 0..1. */
export interface Motion {
  name: string;
  forward: MotionShape;
  back: "mirror" | MotionShape;
  scrim?: number;
}

/** The colours that an app's devices are drawn in. */
export const colourNames = ["page", "surface", "ink", "accent", "mark", "bar", "barInk", "barActive", "badge"] as const;
/** One of them. */
export type ColourName = (typeof colourNames)[number];
/** Those that a frame says itself. */
export type Colours = Partial<Record<ColourName, Hex>>;

/** What of a device has a size that a frame may set. */
export const sizeNames = [
  "header",
  "bar",
  "top",
  "rail",
  "panel",
  "drawer",
  "sheet",
  "dialog",
  "side",
  "icon",
] as const;
/** One of them. */
export type SizeName = (typeof sizeNames)[number];

/**
 * How the chosen tab is marked: `tooth` (default), the face's edge opens at it and its cell joins the page; `line` along its
 * cell; `fill`, the whole cell tinted; `none`.
 */
export const marks = ["tooth", "line", "fill", "none"] as const;
/** How the chosen tab is marked. */
export type Mark = (typeof marks)[number];

/** How an app's devices are drawn. */
export interface Theme {
  light?: Colours;
  dark?: Colours;
  mark?: Mark;
  font?: string;
  /** Corner radius, px. */
  corner?: number;
  /** Sizes in CSS px that replace the defaults of the arrangement. */
  sizes?: Partial<Record<SizeName, number>>;
}

/** What the app listens to as a whole. */
export interface Address {
  scheme?: string;
  hosts?: string[];
  running?: "open" | "rebuild";
  lost?: Id;
}

/** A rule that says nothing of a node, or (without one) of the app as a whole, and why. */
export interface Quiet {
  rule: string;
  node?: Id;
  why: string;
}

/** One event of a journey, and what must be seen then. */
export interface JourneyStep {
  event: Record<string, unknown>;
  see?: Record<string, unknown>;
}

/** Recorded events with what must be seen. */
export interface Journey {
  id: Id;
  name: string;
  view: Record<string, unknown>;
  url?: string;
  facts?: Record<Id, FactValue>;
  steps: JourneyStep[];
}

/** A link with what came out of it, kept to be held against what comes out later. */
export interface LinkCase {
  id: Id;
  url: string;
  start: "cold" | "running";
  facts?: Record<Id, FactValue>;
  see: Record<string, unknown>;
}
