import { byViewOf, variedAmong } from "../frame/cells.js";
import { heldBy, ownValue } from "../frame/held.js";
import { asRecord, keysOfAll } from "../frame/keys.js";
import { nodeAt } from "../frame/nodes.js";
import { childrenOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import { parentsOf } from "../frame/frame-index.js";
import type { Action, Id } from "../frame/parts.js";
import { type NodeKey, propertyKeys } from "../frame/properties.js";
import type { Frame, Node } from "../frame/types.js";
import { plainName } from "../frame/names.js";
import { isSetHere, settings, valueOf, valueSays } from "../settings/settings.js";
import { list } from "./words.js";

/** One thing that is other in a frame than in another. */
export interface Difference {
  /** The node it is about; null for the frame itself. */
  id: Id | null;
  says: string;
}

const fieldWords: Record<string, string> = {
  name: "the name",
  theme: "the theme",
  icons: "the icons of its own",
  vary: "what of the app differs by view",
  targets: "the targets",
  bands: "the widths",
  facts: "the facts",
  address: "the app's addresses",
  motions: "the motions",
  motion: "which motion is used",
  journeys: "the journeys",
  linkCases: "the kept links",
  quiet: "what is silenced",
};

const parentNames = (frame: Frame, id: Id): string =>
  list(parentsOf(frame, id).map((parent) => plainName(frame, parent))) || "nothing";

/** Added or gone: told of the outermost ones, with how many are inside them. */
const cameOrWent = (one: Frame, other: Frame, say: (id: Id, where: string, inside: number) => string): Difference[] => {
  const isNew = (id: Id): boolean => Object.hasOwn(one.nodes, id) && !Object.hasOwn(other.nodes, id);
  const count = (id: Id, seen: Set<Id>): number => {
    let sum = 0;
    for (const child of childrenOf(nodeAt(one, id)))
      if (isNew(child) && !seen.has(child)) {
        seen.add(child);
        sum += 1 + count(child, seen);
      }
    return sum;
  };
  return Object.keys(one.nodes)
    .filter((id) => isNew(id) && !parentsOf(one, id).some(isNew))
    .map((id) => ({ id, says: say(id, parentNames(one, id), count(id, new Set())) }));
};

const actionsSay = (before: readonly Action[], after: readonly Action[]): string => {
  const fresh = after.filter(({ id }) => !before.some((other) => other.id === id));
  const gone = before.filter(({ id }) => !after.some((other) => other.id === id));
  const other = after.filter((action) => {
    const was = before.find(({ id }) => id === action.id);
    return was !== undefined && !equal(was, action);
  });
  const said = [
    fresh.length && `new action ${list(fresh.map(({ label }) => label))}`,
    gone.length && `no action ${list(gone.map(({ label }) => label))} any more`,
    other.length && `another ${list(other.map(({ label }) => label))}`,
  ].filter(Boolean);
  return said.length ? said.join(", ") : "its actions in another order";
};

const keySays = (before: Frame, after: Frame, id: Id, key: NodeKey): string => {
  const [was, is] = [nodeAt(before, id), nodeAt(after, id)];
  if (key === "title") return `called ${JSON.stringify(is.title ?? id)}, was ${JSON.stringify(was.title ?? id)}`;
  if (key === "actions" || key === "extras") return actionsSay(heldBy(was, key) ?? [], heldBy(is, key) ?? []);
  const own = asRecord(is)[key];
  if (key === "path") return own === undefined ? "no address any more" : `address ${String(own)}`;
  const setting = settings.find((each) => each.key === key);
  const byView = byViewOf(is, key);
  if (!setting && byView) return `another ${key} in some views`;
  if (!setting) return key === "tab" ? "another tab look" : key === "body" ? "another body" : `another ${key}`;
  const isSet = isSetHere(is, key);
  const value = valueOf(after, id, setting);
  const named = typeof value === "string" && Object.hasOwn(after.nodes, value) ? plainName(after, value) : null;
  return `${setting.label.toLowerCase()} ${named ?? valueSays(after, setting, value)}${isSet ? "" : ", as by default"}`;
};

const places = new Set(["children", "list", "detail"]);

/** The keys that are other on a node, in every view or in some. */
const changedKeys = (was: Node, is: Node): NodeKey[] => {
  const keys = [...keysOfAll<Node>(was, is)].filter((key) => key !== "kind" && key !== "vary");
  const varied = [...(was.vary ?? []), ...(is.vary ?? [])].flatMap(({ set }) =>
    propertyKeys.filter((key) => Object.hasOwn(set, key)),
  );
  return [...new Set([...keys, ...varied])].filter(
    (key) => !equal(ownValue(was, key), ownValue(is, key)) || !equal(variedAmong(was, [key]), variedAmong(is, [key])),
  );
};

const nodeSays = (before: Frame, after: Frame, id: Id): string[] => {
  const [was, is] = [nodeAt(before, id), nodeAt(after, id)];
  if (was === is) return [];
  const name = plainName(after, id);
  const said: string[] = [];
  if (was.kind !== is.kind) said.push(`${name} is a ${is.kind} now, was a ${was.kind}`);
  for (const key of changedKeys(was, is))
    if (!places.has(key)) said.push(`${name}: ${keySays(before, after, id, key)}`);
  const [a, b] = [childrenOf(was), childrenOf(is)];
  const order = (ids: readonly Id[], others: readonly Id[]) => ids.filter((child) => others.includes(child)).join();
  if (was.kind === is.kind && order(a, b) !== order(b, a)) said.push(`reordered ${name}`);
  return said;
};

/** What is other in one frame than in an earlier one, in plain words: what came, went and moved first. */
export const differencesOf = (before: Frame, after: Frame): Difference[] => {
  if (before === after) return [];
  const inside = (count: number) => (count ? ` with ${count} inside` : "");
  const moved: Difference[] = [];
  const changed: Difference[] = [];
  for (const id of Object.keys(after.nodes)) {
    if (!Object.hasOwn(before.nodes, id)) continue;
    const [from, to] = [[...parentsOf(before, id)].sort(), [...parentsOf(after, id)].sort()];
    if (from.join() !== to.join()) {
      const more = to.filter((parent) => !from.includes(parent));
      const isMore = from.every((parent) => to.includes(parent)) && from.length > 0;
      const name = plainName(after, id);
      moved.push({
        id,
        says:
          to.length === 0
            ? `${name} is loose now`
            : isMore
              ? `shared ${name} with ${list(more.map((parent) => plainName(after, parent)))}`
              : `moved ${name} from ${parentNames(before, id)} to ${parentNames(after, id)}`,
      });
    }
    for (const says of nodeSays(before, after, id)) changed.push({ id, says });
  }
  const fields = keysOfAll(before, after);
  const framed = [...fields]
    .filter((key) => key !== "nodes" && key !== "format" && !equal(before[key], after[key]))
    .map((key) => ({
      id: null,
      says: key === "name" ? `the frame is called ${JSON.stringify(after.name)}` : `changed ${fieldWords[key] ?? key}`,
    }));
  return [
    ...cameOrWent(after, before, (id, where, n) => `added ${plainName(after, id)} in ${where}${inside(n)}`),
    ...cameOrWent(before, after, (id, where, n) => `took ${plainName(before, id)} out of ${where}${inside(n)}`),
    ...moved,
    ...changed,
    ...framed,
  ];
};
