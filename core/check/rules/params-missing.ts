import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt, nodeIn } from "../../frame/nodes.js";
import type { Do, DoOpen, Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { patternOf, paramsNamed } from "../../frame/pattern.js";
import { list } from "../../says/words.js";
import type { Found, Rule } from "../rule.js";

const openOf = (act: Do): DoOpen | null =>
  act.kind === "open" ? act : act.kind === "set" && act.then ? openOf(act.then) : null;

/** The names that a screen's address has to have filled. */
const wanted = (frame: Frame, id: Id): string[] => {
  const node = nodeIn(frame, id);
  const pattern = node?.kind === "screen" ? patternOf(node) : null;
  return pattern ? (pattern.optional ? pattern.names.slice(0, -1) : pattern.names) : [];
};

/** Finds ways in that do not hand over what the address of their screen names. */
export const paramsMissing: Rule = {
  code: "params-missing",
  group: "keeping",
  severity: "fault",
  suffers: "They tap, and come to a screen that does not know what it is about.",
  why: "The address of a screen names values. A way in that does not hand them over opens it empty, and without an address to share.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((from): Found[] => {
      const node = nodeAt(frame, from);
      if (!isAttached(frame, from) || (node.kind !== "screen" && node.kind !== "hub")) return [];
      const actions = node.kind === "screen" ? (node.actions ?? []) : (node.extras ?? []);
      const opens = actions.flatMap(({ do: act, label }) => {
        const open = openOf(act);
        return open ? [{ to: open.to, given: Object.keys(open.params ?? {}), label }] : [];
      });
      if (node.kind === "screen" && node.body && "opens" in node.body && node.body.opens) {
        const target = nodeIn(frame, node.body.opens);
        const own = target?.kind === "screen" ? namesOf(frame, from, node.body.opens) : [];
        opens.push({
          to: node.body.opens,
          given: [...own, ...(node.body.param ? [node.body.param] : [])],
          label: "its rows",
        });
      }
      return opens.flatMap(({ to, given, label }): Found[] => {
        const missing = wanted(frame, to).filter((name) => !given.includes(name));
        if (missing.length === 0) return [];
        return [
          {
            node: from,
            key: label === "its rows" ? "body" : node.kind === "hub" ? "extras" : "actions",
            says: `${plainName(frame, from)} opens ${plainName(frame, to)} without ${list(missing)}`,
            detail: `by ${label}`,
          },
        ];
      });
    }),
};

/** The names of a target's address that a row hands on from the params of the screen it is on. */
const namesOf = (frame: Frame, from: Id, to: Id): string[] => {
  const [source, target] = [nodeAt(frame, from), nodeAt(frame, to)];
  if (source.kind !== "screen" || target.kind !== "screen") return [];
  const own = [...(patternOf(source)?.names ?? []), ...Object.keys(source.params ?? {})];
  return Object.keys(paramsNamed(target, Object.fromEntries(own.map((name) => [name, "1"]))));
};
