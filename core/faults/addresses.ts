import { shown } from "../frame/fault.js";
import { indexOf } from "../frame/frame-index.js";
import { called } from "../frame/names.js";
import { nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { readPattern } from "../frame/pattern.js";
import type { Frame } from "../frame/types.js";
import type { At, NodeRule, Report } from "./report.js";

/** One address that a screen has. */
interface Claim {
  id: Id;
  at: At;
  text: string;
}

const claimsOf = (frame: Frame, id: Id): Claim[] => {
  const node = nodeIn(frame, id);
  if (node?.kind !== "screen") return [];
  const own: Claim[] = node.path === undefined ? [] : [{ id, at: ["nodes", id, "path"], text: node.path }];
  return [...own, ...(node.also ?? []).map((text, i) => ({ id, at: ["nodes", id, "also", i], text }))];
};

const examples = new WeakMap<Frame, string | null>();

/** An address as this frame has them, best with a parameter; null where it has none. */
const exampleIn = (frame: Frame): string | null => {
  let found = examples.get(frame);
  if (found !== undefined) return found;
  found = null;
  for (const node of Object.values(frame.nodes)) {
    if (node.kind !== "screen" || node.path === undefined || !readPattern(node.path).ok) continue;
    if (node.path.includes(":")) {
      found = node.path;
      break;
    }
    found ??= node.path;
  }
  examples.set(frame, found);
  return found;
};

/** An address as this frame has them: that of another screen, else one made of the screen's own id. */
const exampleOf = (frame: Frame, id: Id): string => exampleIn(frame) ?? `/${id.toLowerCase()}/:item`;

/** A screen's addresses are patterns. */
export const patternFaults: NodeRule = (frame, report, id) => {
  for (const { at, text } of claimsOf(frame, id)) {
    const result = readPattern(text);
    if (!result.ok)
      report(
        "pattern",
        at,
        shown(text),
        `an address pattern such as ${exampleOf(frame, id)}`,
        `Correct it: ${result.reason}.`,
      );
  }
};

/** The stack that links open a screen in is one it stands in. */
export const linkInFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind !== "screen" || node.linkIn === undefined || !nodeIn(frame, node.linkIn)) return;
  if ((indexOf(frame).parents.get(id) ?? []).includes(node.linkIn)) return;
  report(
    "link-in",
    ["nodes", id, "linkIn"],
    shown(node.linkIn),
    "a stack that this screen stands in",
    "Name one of its stacks, or put the screen there.",
  );
};

const clash = (frame: Frame, report: Report, own: Claim, other: Claim): void =>
  report(
    "address-clash",
    own.at,
    `${own.text}, which matches the same addresses as ${other.text} of ${called(frame, other.id)}`,
    "an address that leads to one screen",
    "Give one of the two a word of its own.",
  );

/** An address leads to one screen. Of two that clash, the later one is told; with `touched`, the one that was changed. */
export const clashFaults = (frame: Frame, report: Report, touched?: ReadonlySet<Id>): void => {
  const { ids } = indexOf(frame);
  const held = new Map<string, Claim>();
  const take = (id: Id, holds: boolean): void => {
    for (const claim of claimsOf(frame, id)) {
      const result = readPattern(claim.text);
      for (const shape of result.ok ? result.pattern.shapes : []) {
        const first = held.get(shape);
        if (!first) {
          if (holds) held.set(shape, claim);
        } else if (first.id !== id || first.text !== claim.text) {
          const [own, other] = touched && !touched.has(id) ? [first, claim] : [claim, first];
          clash(frame, report, own, other);
        }
      }
    }
  };
  for (const id of touched ?? ids) take(id, true);
  if (touched && held.size) for (const id of ids) if (!touched.has(id)) take(id, false);
};
