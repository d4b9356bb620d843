import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { NavigationEvent } from "../navigate/event.js";
import { plainName } from "../frame/names.js";

/** What a person does, in a few words; `on` is the screen it is done on. */
export const eventSays = (frame: Frame, event: NavigationEvent, on: Id): string => {
  const at = ("in" in event && event.in) || on;
  const node = frame.nodes[at];
  switch (event.do) {
    case "tap": {
      const actions = node?.kind === "screen" ? node.actions : node?.kind === "hub" ? node.extras : undefined;
      return `tap ${actions?.find(({ id }) => id === event.action)?.label ?? event.action}`;
    }
    case "pick": {
      const row = node?.kind === "screen" && node.body && "row" in node.body ? node.body.row : "row {n}";
      return `pick ${row.replaceAll("{n}", String(event.row))}`;
    }
    case "tab":
      return `tab ${frame.nodes[event.to]?.tab?.label ?? plainName(frame, event.to)}`;
    case "menu":
      return "open the menu";
    case "back":
      return "Back";
    case "up":
      return "up";
    case "dismiss":
      return "dismiss";
    case "wait":
      return `wait ${event.ms} ms`;
    default:
      return event.do;
  }
};
