import { factWords } from "../frame/needs.js";
import type { Frame, Node } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { NavigationEvent } from "../navigate/event.js";
import { plainName } from "../frame/names.js";

const fieldName = (node: Node | undefined, id: string): string => {
  const fields = node?.kind === "screen" && node.body?.kind === "form" ? node.body.fields : [];
  return fields.find((field) => field.id === id)?.label ?? id;
};

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
    case "open":
      return `open ${plainName(frame, event.to)} from outside`;
    case "link":
      return `${event.start} link ${event.url.length > 40 ? `${event.url.slice(0, 39)}…` : event.url}`;
    case "fact":
      return factWords(frame, event.id, event.is);
    case "scroll":
      return `scroll to ${Math.round(event.to)} px`;
    case "type":
      return `type in ${fieldName(node, event.field)}`;
    case "view":
      return `${event.width} × ${event.height}`;
    case "return":
      return "come back";
    case "kill":
      return "ended by the system";
    case "answer":
      return event.leave ? "answer: leave" : "answer: stay";
  }
};
