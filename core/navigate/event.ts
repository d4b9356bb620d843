import type { FactValue, How, Id, Opens } from "../frame/parts.js";
import type { Cut, Hinge, Insets } from "../frame/view.js";

/** Another view. What is not said stays as it is; a `hinge` of null and no `cuts` take away what there was. */
export interface ViewChange {
  width: number;
  height: number;
  target?: Id;
  calm?: boolean;
  rtl?: boolean;
  insets?: Partial<Insets>;
  hinge?: Hinge | null;
  cuts?: readonly Cut[];
}

/** Everything that can happen to an app, one form each. */
export type NavigationEvent =
  | { do: "tap"; action: Id; in?: Id }
  | { do: "pick"; row: number; in?: Id }
  | { do: "tab"; to: Id }
  | { do: "menu"; open?: boolean }
  | { do: "back" }
  | { do: "up"; in?: Id }
  | { do: "dismiss" }
  | { do: "open"; to: Id; params?: Record<string, string>; how?: How }
  | { do: "link"; url: string; start: "cold" | "running" }
  | { do: "fact"; id: Id; is: FactValue }
  | { do: "wait"; ms: number }
  | { do: "scroll"; to: number; in?: Id }
  | { do: "type"; field: string; text: string; in?: Id }
  | ({ do: "view" } & ViewChange)
  | { do: "return" }
  | { do: "answer"; leave: boolean }
  | { do: "kill" };

/** The kinds of events. */
export type EventKind = NavigationEvent["do"];
/** One kind of event with what it tells. */
export type EventOf<K extends EventKind> = Extract<NavigationEvent, { do: K }>;

/** What a move does with the two children of its container. */
export type MoveKind = "push" | "pop" | "open" | "close" | "replace" | "switch";

/** One of the two children of a container that a move is between. */
export interface MoveSide {
  node: Id;
  /** The key of its entry: a screen with other params is another one. */
  key: number;
  /** How it shows, or showed, in the container. */
  opens: Opens;
}

/** What changed on screen, at the outermost container where it did. */
export interface Move {
  kind: MoveKind;
  /** The container. */
  in: Id;
  leaving: MoveSide | null;
  entering: MoveSide | null;
  toward: "forward" | "back";
}
