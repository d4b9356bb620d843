import { arrange } from "../arrange/arrange.js";
import { againOf, backOf, bandsOf, baseOf, edgeOf, keepOf, labelsOf, overOf, ratioOf, restOf, splitFromOf, startOf } from "../frame/defaults.js";
import { faceOf, tabsOf } from "../frame/faces.js";
import { isAttached, placesOf } from "../frame/frame-index.js";
import { hasRoomToSplit } from "../frame/opens.js";
import type { Frame, HubNode, Id, Node, PairNode, ScreenNode, StackNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { plainName } from "../frame/names.js";
import { type Snapshot, snapshotOf } from "../observe/snapshot.js";
import type { State } from "../navigate/state.js";
import { factsFor, landed } from "../explore/standpoint.js";
import { step } from "../navigate/step.js";
import { waysIn } from "../explore/ways.js";
import { actionSays, barWords, list, losesBar, overlayWord } from "./words.js";

/** What a node is asked about: with what it comes to when it is opened in the view, or null when that cannot be run. */
interface Asked<N extends Node = Node> {
  frame: Frame;
  view: View;
  id: Id;
  node: N;
  shown: { snapshot: Snapshot; state: State } | null;
}

type Says<N extends Node = Node> = (asked: Asked<N>) => string;

const shownIn = (frame: Frame, view: View, id: Id): Asked["shown"] => {
  if (!isAttached(frame, id)) return null;
  const at = step(frame, view, landed(frame, view, factsFor(frame, id)), { do: "open", to: id });
  if (at.state.outside) return null;
  return { snapshot: snapshotOf(frame, view, at), state: at.state };
};

/** The views of the bands, each as wide as its band is narrow, the view at hand for its own. */
const bandViews = (frame: Frame, view: View): { band: Id; view: View }[] => {
  const bands = bandsOf(frame);
  return bands.map(({ id, from }, i) => {
    const next = bands[i + 1]?.from ?? Infinity;
    const isHere = view.width >= from && view.width < next;
    return { band: id, view: isHere ? view : { ...view, width: Math.max(from, Math.min(390, next - 1)) } };
  });
};

const coverSays = (frame: Frame, id: Id, snapshot: Snapshot, before: readonly { hub: Id; face: string }[]): string => {
  const usable = snapshot.bars.filter((bar) => !bar.inert).at(-1);
  const { overlay } = snapshot;
  if (overlay?.node === id) {
    const over = overOf(frame.nodes[id]!) === "all" ? "everything" : plainName(frame, placesOf(frame, id)[0]!);
    const bar = usable ? `, the ${usable.face} stays usable` : "";
    return `${overlayWord[overlay.opens]} over ${over}${bar}`;
  }
  if (usable) return `pushed, the ${usable.face} stays`;
  const beneath = barWords(snapshot);
  if (beneath) return `pushed, ${beneath}`;
  const gone = before.at(-1);
  return gone ? `pushed, ${losesBar(snapshot)} the ${gone.face}` : "pushed";
};

const opens: Says = ({ frame, view, id }) => {
  if (!isAttached(frame, id)) return "stands in no container, so nothing opens it";
  const [place] = placesOf(frame, id);
  if (place !== undefined && frame.nodes[place]!.kind !== "stack")
    return "a tab or a pane is never an overlay: this counts in a stack alone";
  if (place !== undefined && startOf(frame.nodes[place] as StackNode) === id && placesOf(frame, id).length === 1)
    return `${plainName(frame, place)} starts with it, and the lowest of a stack is always pushed`;
  const said = new Map<string, Id[]>();
  for (const { band, view: at } of bandViews(frame, view)) {
    const first = landed(frame, at, factsFor(frame, id));
    const shown = shownIn(frame, at, id);
    if (!shown) continue;
    const text = coverSays(
      frame,
      id,
      shown.snapshot,
      snapshotOf(frame, at, { state: first, moves: [], notes: [] }).bars,
    );
    said.set(text, [...(said.get(text) ?? []), band]);
  }
  if (said.size === 1) return `${[...said.keys()][0]} at every width`;
  return [...said].map(([text, bands]) => `${bands.join(", ")}: ${text}`).join("; ");
};

const over: Says = ({ frame, id, node, shown }) => {
  if (shown && shown.snapshot.overlay?.node !== id) return "counts where it opens as an overlay: here it is pushed";
  const place = placesOf(frame, id)[0];
  return overOf(node) === "all" || place === undefined
    ? "bars and all else lie beneath it"
    : `covers ${plainName(frame, place)} alone; what is around that stays usable`;
};

const rest: Says = ({ node, shown, id }) => {
  if (shown?.snapshot.overlay?.node !== id || shown.snapshot.overlay.opens !== "sheet")
    return "counts where it opens as a sheet";
  const [first, ...more] = restOf(node).map((each) => `${Math.round(each * 100)} %`);
  return `stands at ${first}${more.length ? `, is dragged to ${list(more)}` : ""}; dragged down it goes`;
};

const edge: Says = ({ node, view }) =>
  `comes from the ${(edgeOf(node) === "start") === !view.rtl ? "left" : "right"} where it opens as a side panel`;

const bars: Says = ({ frame, id, node, shown }) => {
  if (!shown) return "";
  if (shown.snapshot.overlay?.node === id) return "an overlay hides no bar: it covers or dims it";
  const around = shown.snapshot.bars;
  if (around.length > 0 && around.every((bar) => bar.inert)) return "inside an overlay: the bar lies dimmed beneath";
  const seen = around.findLast((bar) => bar.face === "bar" || bar.face === "top");
  if (node.bars === "hide") {
    const stays = around.at(-1);
    return stays ? `nothing to hide here: the ${stays.face} stays` : "the bars around it go while it is on top";
  }
  if (seen) return `the ${seen.face} of ${plainName(frame, seen.hub)} stays`;
  return around.length ? `the ${around.at(-1)!.face} stays` : "covered all the same: it stands beside the hub";
};

const header: Says = ({ frame, id, node, shown }) => {
  if (!shown) return "";
  const { headers } = shown.snapshot;
  if (node.kind !== "screen")
    return node.header === "on"
      ? `a strip titled ${plainName(frame, id)} besides those inside it`
      : "those inside it draw their own";
  if (headers.length === 0) return "no strip, so no Back of its own";
  if (headers.length > 1)
    return `${headers.length} strips stack up: ${list(headers.map(({ by }) => plainName(frame, by)))} draw one each`;
  const [only] = headers;
  return only!.close
    ? "one strip, with a close"
    : only!.back
      ? "one strip, with Back in it"
      : only!.menu
        ? "one strip, with the drawer's button"
        : "one strip; nothing lies beneath, so no Back in it";
};

const start: Says<StackNode | HubNode> = ({ frame, node }) => {
  const first = startOf(node);
  return first === undefined ? "nothing to start with" : `whoever comes here new begins at ${plainName(frame, first)}`;
};

const base: Says<StackNode> = ({ frame, node }) => {
  const laid = baseOf(node);
  return laid ? `a cold link lies on ${plainName(frame, laid)}` : "a cold link lies on nothing: Back goes out of here";
};

const faces: Says<HubNode> = ({ frame, view, node }) => {
  const face = faceOf(frame, node, view);
  return face ? `here: ${face}` : "here: none, so no tab can be chosen";
};

const limit: Says<HubNode> = ({ frame, view, node }) => {
  const face = faceOf(frame, node, view) ?? "bar";
  const { tabs, more } = tabsOf(frame, node, face, view, {});
  if (face !== "bar" && face !== "top") return `a ${face} shows all ${tabs.length}`;
  return more.length
    ? `${tabs.length} in the ${face}, ${list(more.map((id) => plainName(frame, id)))} behind More`
    : `all ${tabs.length} fit`;
};

const labels: Says<HubNode> = ({ node }) =>
  ({
    always: "every tab is named",
    active: "the chosen tab alone is named",
    never: "icons alone; a tab without an icon is named",
  })[labelsOf(node)];

const keep: Says<HubNode> = ({ node }) =>
  ({
    live: "entries, scroll and drafts stay",
    place: "entries stay; scroll and drafts are emptied",
    fresh: "it starts anew",
  })[keepOf(node)];

const again: Says<HubNode> = ({ node }) =>
  ({
    root: "back to its first screen; there already: scrolls to the top",
    top: "scrolls to the top",
    none: "does nothing",
  })[againOf(node)];

const back: Says<HubNode> = ({ frame, view, node }) => {
  const said = {
    start: "to the start tab, then out",
    visited: "through the tabs visited, then out",
    leave: "out of the hub at once",
  }[backOf(node)];
  const other = node.children.find((child) => child !== startOf(node));
  const shown = other === undefined ? null : shownIn(frame, view, other);
  if (!shown) return said;
  const ends: Record<string, string> = { exit: "out", stay: "nothing", loop: "round" };
  return `${said}; from ${plainName(frame, other!)}: ${shown.snapshot.back.map((id) => ends[id] ?? plainName(frame, id)).join(", ")}`;
};

const floating: Says<HubNode> = ({ frame, view, node }) => {
  const face = faceOf(frame, node, view) ?? "bar";
  return node.floating ? `content runs on under the ${face}` : `content ends where the ${face} begins`;
};

const stripSays: Says<HubNode> = ({ frame, id, node, shown }) => {
  if (!shown) return "";
  const own = shown.snapshot.headers.filter(({ by }) => by === id).length;
  const others = shown.snapshot.headers.length - own;
  if (!node.strip) return "none of its own: what shows in it draws one";
  return others
    ? "two strips stack up: its own, and one of what shows in it"
    : `one strip, titled by the chosen tab of ${plainName(frame, id)}`;
};

const heading: Says<HubNode> = ({ frame, view, node }) => {
  const face = faceOf(frame, node, view);
  const has = face === "rail" || face === "panel" || face === "drawer";
  return has ? `on top of the ${face} here` : "shown on a rail, panel or drawer: here is none";
};

const extras: Says<HubNode> = (asked) => {
  const face = faceOf(asked.frame, asked.node, asked.view);
  if (!asked.node.extras?.length) return "actions at the end of its rail, panel or drawer";
  return face === "rail" || face === "panel" || face === "drawer"
    ? `at the end of the ${face} here`
    : "out of reach here: no rail, panel or drawer shows them";
};

const splitFrom: Says<PairNode> = ({ frame, view, node }) => {
  if (splitFromOf(frame, node) === undefined) return "there is one band alone, so never";
  return hasRoomToSplit(frame, node, view)
    ? "side by side here, but never inside a sheet, dialog or side panel"
    : "here one lies over the other";
};

const ratio: Says<PairNode> = ({ frame, view, node, shown }) => {
  const region = shown && arrange(frame, shown.state, view).find(({ role }) => role === "list");
  return region
    ? `the list is ${region.width} px wide here, between 280 and 440`
    : `the list takes ${Math.round(ratioOf(node) * 100)} % where it is split`;
};

const empty: Says<PairNode> = () => "said beside the list while no row is open";

const wants: Says<ScreenNode> = ({ frame, id, node }) => {
  if (!node.wants?.length) return "needs nothing handed over";
  const ways = waysIn(frame, id);
  const lacking = ways.filter((way) => {
    const from = frame.nodes[way.from];
    const action = from?.kind === "screen" ? from.actions?.find((each) => each.id === way.action) : undefined;
    const given = action?.do.kind === "open" ? Object.keys(action.do.with ?? {}) : [];
    return !node.wants!.every((name) => given.includes(name));
  });
  return lacking.length
    ? `${lacking.length} of ${ways.length} ways in do not hand it over`
    : "every way in hands it over";
};

const after: Says<ScreenNode> = ({ frame, node }) => {
  if (!node.after) return "stays until the person does something";
  const { ms, do: act } = node.after;
  return `on top for ${ms} ms it ${actionSays(frame, { do: act })} by itself`;
};

const body: Says<ScreenNode> = ({ frame, node }) => {
  const rows = node.body && "opens" in node.body ? node.body.opens : undefined;
  return rows === undefined ? "" : `a row opens ${plainName(frame, rows)}`;
};

const table: Readonly<Record<string, Says<never>>> = {
  opens,
  over,
  rest,
  edge,
  bars,
  header,
  start,
  base,
  faces,
  limit,
  labels,
  keep,
  again,
  back,
  floating,
  strip: stripSays,
  heading,
  extras,
  splitFrom,
  ratio,
  empty,
  wants,
  after,
  body,
};

/** What each property of a node causes now, in one line, by its key: worked out by running the frame in the view. */
export const propertySays = (frame: Frame, view: View, id: Id): Readonly<Record<string, string>> => {
  const node = frame.nodes[id]!;
  const asked: Asked = { frame, view, id, node, shown: shownIn(frame, view, id) };
  const keys: Record<Node["kind"], string> = {
    screen: "opens over rest edge bars header wants after body",
    stack: "opens over rest edge bars header start base",
    hub: "opens over rest edge bars header start faces limit labels keep again back floating strip heading extras",
    pair: "opens over rest edge bars header splitFrom ratio empty",
  };
  return Object.fromEntries(keys[node.kind].split(" ").map((key) => [key, (table[key] as Says)(asked)]));
};
