import { arrange } from "../arrange/arrange.js";
import { factsFor, landed } from "../explore/standpoint.js";
import { waysIn } from "../explore/ways.js";
import { bandsOf, baseOf, startOf } from "../frame/defaults.js";
import { draftFieldsOf } from "../frame/drafts.js";
import { isAttached, placesOf } from "../frame/frame-index.js";
import { heldBy } from "../frame/held.js";
import { heldIn, type Look, lensOf } from "../frame/look.js";
import { plainName } from "../frame/names.js";
import { nodeAt, nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { type NodeKey, propertyKeys, propertyOf } from "../frame/properties.js";
import { firstOf, lastOf, sure } from "../frame/sure.js";
import { tabsOf } from "../frame/tabs.js";
import type { Frame, HubNode, Node, PairNode, ScreenNode, StackNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { type SeenBar, sightOf } from "../navigate/sight.js";
import type { State } from "../navigate/state.js";
import { stepThrough } from "../navigate/step.js";
import { pathOf } from "../observe/ladder.js";
import { type Seen, seenAfter } from "../observe/seen.js";
import { ladderNames } from "./ladder-says.js";
import { actionSays, barWords, list, losesBar, opensWords } from "./words.js";

/** What a node is asked about: with what it comes to when it is opened in the view, or null when that cannot be run. */
interface Asked<N extends Node = Node> {
  frame: Frame;
  view: View;
  id: Id;
  node: N;
  /** The node's look in the view. */
  look: Look;
  shown: { seen: Seen; state: State } | null;
}

type Says<N extends Node = Node> = (asked: Asked<N>) => string;

const shownIn = (frame: Frame, view: View, id: Id, from?: State): Asked["shown"] => {
  if (!isAttached(frame, id)) return null;
  const at = stepThrough(frame, view, from ?? landed(frame, view, factsFor(frame, id)), { do: "open", to: id });
  if (at.state.outside) return null;
  return { seen: seenAfter(frame, view, at), state: at.state };
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

const coverSays = (frame: Frame, id: Id, seen: Seen, before: readonly SeenBar[], over: Look["over"]): string => {
  const usable = seen.bars.findLast((bar) => !bar.inert);
  const { overlay } = seen;
  if (overlay?.node === id) {
    const what = over === "all" ? "everything" : plainName(frame, firstOf(placesOf(frame, id)));
    const bar = usable ? `, the ${usable.face} stays usable` : "";
    return `${opensWords(overlay.opens)} over ${what}${bar}`;
  }
  if (usable) return `pushed, the ${usable.face} stays`;
  const beneath = barWords(seen);
  if (beneath) return `pushed, ${beneath}`;
  const gone = before.at(-1);
  return gone ? `pushed, ${losesBar(seen)} the ${gone.face}` : "pushed";
};

const opens: Says = ({ frame, view, id, look, shown }) => {
  if (!isAttached(frame, id)) return "stands in no container, so nothing opens it";
  const [place, ...more] = placesOf(frame, id);
  const holder = place === undefined ? undefined : nodeIn(frame, place);
  if (holder && holder.kind !== "stack") return "a tab or a pane is never an overlay: this counts in a stack alone";
  if (holder && place !== undefined && startOf(holder) === id && more.length === 0)
    return `${plainName(frame, place)} starts with it, and the lowest of a stack is always pushed`;
  const said = new Map<string, Id[]>();
  for (const { band, view: at } of bandViews(frame, view)) {
    const first = landed(frame, at, factsFor(frame, id));
    const seen = at === view ? shown?.seen : shownIn(frame, at, id, first)?.seen;
    if (!seen) continue;
    const text = coverSays(frame, id, seen, first.outside ? [] : sightOf(lensOf(frame, at), first).bars, look.over);
    said.set(text, [...(said.get(text) ?? []), band]);
  }
  if (said.size === 1) return `${[...said.keys()][0]} at every width`;
  return [...said].map(([text, bands]) => `${bands.join(", ")}: ${text}`).join("; ");
};

const over: Says = ({ frame, id, look, shown }) => {
  if (shown && shown.seen.overlay?.node !== id) return "counts where it opens as an overlay: here it is pushed";
  const place = placesOf(frame, id)[0];
  return look.over === "all" || place === undefined
    ? "bars and all else lie beneath it"
    : `covers ${plainName(frame, place)} alone; what is around that stays usable`;
};

const rest: Says = ({ look, shown, id }) => {
  if (shown?.seen.overlay?.node !== id || shown.seen.overlay.opens !== "sheet")
    return "counts where it opens as a sheet";
  const [first, ...more] = look.rest.map((each) => `${Math.round(each * 100)} %`);
  return `stands at ${first}${more.length ? `, is dragged to ${list(more)}` : ""}; dragged down it goes`;
};

const edge: Says = ({ look, view }) =>
  `comes from the ${(look.edge === "start") === !view.rtl ? "left" : "right"} where it opens as a side panel`;

const bars: Says = ({ frame, view, id, look, shown }) => {
  if (!shown) return "";
  if (shown.seen.overlay?.node === id) return "an overlay hides no bar: it covers or dims it";
  const around = shown.seen.bars;
  if (around.length > 0 && around.every((bar) => bar.inert)) return "inside an overlay: the bar lies dimmed beneath";
  const seen = around.findLast((bar) => bar.face === "bar" || bar.face === "top");
  const [place] = placesOf(frame, id);
  if ((place === undefined ? look.bars : heldIn(lensOf(frame, view), id, place, "bars")) === "hide") {
    const stays = around.at(-1);
    return stays ? `nothing to hide here: the ${stays.face} stays` : "the bars around it go while it is on top";
  }
  if (seen) return `the ${seen.face} of ${plainName(frame, seen.hub)} stays`;
  return around.length ? `the ${lastOf(around).face} stays` : "covered all the same: it stands beside the hub";
};

const header: Says = ({ frame, id, node, look, shown }) => {
  if (!shown) return "";
  const { headers } = shown.seen;
  if (node.kind !== "screen")
    return look.header === "on"
      ? `a strip titled ${plainName(frame, id)} besides those inside it`
      : "those inside it draw their own";
  if (headers.length === 0) return "no strip, so no Back of its own";
  if (headers.length > 1)
    return `${headers.length} strips stack up: ${list(headers.map(({ by }) => plainName(frame, by)))} draw one each`;
  const [only] = headers;
  return sure(only).close
    ? "one strip, with a close"
    : sure(only).back
      ? "one strip, with Back in it"
      : sure(only).menu
        ? "one strip, with the drawer's button"
        : "one strip; nothing lies beneath, so no Back in it";
};

const system: Says = ({ id, look, shown }) => {
  if (!shown || shown.seen.top !== id) return "";
  return look.system === "hide" ? "the clock's strip and the gesture's are gone while it is on top" : "";
};

const start: Says<StackNode | HubNode> = ({ frame, node }) => {
  const first = startOf(node);
  return first === undefined ? "nothing to start with" : `whoever comes here new begins at ${plainName(frame, first)}`;
};

const base: Says<StackNode> = ({ frame, node }) => {
  const laid = baseOf(node);
  return laid ? `a cold link lies on ${plainName(frame, laid)}` : "a cold link lies on nothing: Back goes out of here";
};

const faceSays: Says<HubNode> = ({ look: { face } }) =>
  face === "none" ? "here: none; its tabs change by actions alone" : `here: ${face}`;

const limit: Says<HubNode> = ({ frame, view, id, look }) => {
  const { face } = look;
  if (face === "none") return "no face shows them here";
  const { tabs, more } = tabsOf(lensOf(frame, view), id, face, {});
  if (face !== "bar" && face !== "top") return `a ${face} shows all ${tabs.length}`;
  return more.length
    ? `${tabs.length} in the ${face}, ${list(more.map((id) => plainName(frame, id)))} behind More`
    : `all ${tabs.length} fit`;
};

const back: Says<HubNode> = ({ frame, view, node, look }) => {
  const said = causesOf("back", look.back);
  const other = node.children.find((child) => child !== startOf(node));
  const shown = other === undefined ? null : shownIn(frame, view, other);
  const ladder = shown?.seen.ladder;
  if (other === undefined || !ladder) return said;
  return `${said}; from ${plainName(frame, other)}: ${ladderNames(frame, pathOf(ladder)).join(", ")}`;
};

const floating: Says<HubNode> = ({ look }) => {
  const { face } = look;
  if (face === "none") return "no face takes room here";
  return look.floating ? `content runs on under the ${face}` : `content ends where the ${face} begins`;
};

const stripSays: Says<HubNode> = ({ frame, id, look, shown }) => {
  if (!shown) return "";
  const own = shown.seen.headers.filter(({ by }) => by === id).length;
  const others = shown.seen.headers.length - own;
  if (!look.strip) return "none of its own: what shows in it draws one";
  return others
    ? "two strips stack up: its own, and one of what shows in it"
    : `one strip, titled by the chosen tab of ${plainName(frame, id)}`;
};

const heading: Says<HubNode> = ({ look: { face } }) => {
  const has = face === "rail" || face === "panel" || face === "drawer";
  return has ? `on top of the ${face} here` : "shown on a rail, panel or drawer: here is none";
};

const extras: Says<HubNode> = ({ node, look: { face } }) => {
  if (!node.extras?.length) return "actions at the end of its rail, panel or drawer";
  return face === "rail" || face === "panel" || face === "drawer"
    ? `at the end of the ${face} here`
    : "out of reach here: no rail, panel or drawer shows them";
};

const split: Says<PairNode> = ({ look }) =>
  look.split ? "side by side here, but never inside a sheet, dialog or side panel" : "here one lies over the other";

const ratio: Says<PairNode> = ({ frame, view, look, shown }) => {
  const region = shown && arrange(frame, shown.state, view).find(({ role }) => role === "list");
  return region
    ? `the list is ${region.width} px wide here, between 280 and 440`
    : `the list takes ${Math.round(look.ratio * 100)} % where it is split`;
};

const empty: Says<PairNode> = () => "said beside the list while no row is open";

const wants: Says<ScreenNode> = ({ frame, id, node: { wants: wanted = [] } }) => {
  if (wanted.length === 0) return "needs nothing handed over";
  const ways = waysIn(frame, id);
  const lacking = ways.filter((way) => {
    const from = frame.nodes[way.from];
    const action = from?.kind === "screen" ? from.actions?.find((each) => each.id === way.action) : undefined;
    const given = action?.do.kind === "open" ? Object.keys(action.do.with ?? {}) : [];
    return !wanted.every((name) => given.includes(name));
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

const leave: Says<ScreenNode> = ({ node }) => {
  const hasDrafts = draftFieldsOf(node).length > 0;
  if (!node.leave)
    return hasDrafts ? "what is typed on it may be lost unasked" : "nothing is typed on it: left unasked";
  const free = node.leave.free?.length ?? 0;
  const but = free ? `, but for ${free === 1 ? "one action" : `${free} actions`}` : "";
  if (node.leave.when === "always") return `asks whenever it would leave the state${but}`;
  return hasDrafts ? `asks while a draft would be gone${but}` : "never asks: nothing is typed on it";
};

const body: Says<ScreenNode> = ({ frame, node }) => {
  const rows = node.body && "opens" in node.body ? node.body.opens : undefined;
  return rows === undefined ? "" : `a row opens ${plainName(frame, rows)}`;
};

/** What is said by running the frame; of the others the words of the value in the table of properties are said. */
const table: { [P in NodeKey]?: Says<never> } = {
  opens,
  over,
  rest,
  edge,
  bars,
  header,
  system,
  start,
  base,
  face: faceSays,
  limit,
  back,
  floating,
  strip: stripSays,
  heading,
  extras,
  split,
  ratio,
  empty,
  wants,
  after,
  leave,
  body,
};

/** What a value causes, as the table of properties has it; null where that says nothing. */
const causesOf = (key: NodeKey, value: unknown): string => {
  const { form } = propertyOf(key);
  return (form.sort === "choice" && form.choices[String(value)]?.causes) || "";
};

/**
 * What each property of a node causes now, in one line, by its key: worked out by running the frame in the view, each when
 * it is first read.
 */
export const propertySays = (frame: Frame, view: View, id: Id): Readonly<Record<string, string>> => {
  const node = nodeAt(frame, id);
  const { look } = lensOf(frame, view);
  let shown: Asked["shown"] | undefined;
  const asked: Asked = {
    frame,
    view,
    id,
    node,
    look: look(id),
    get shown() {
      if (shown === undefined) shown = shownIn(frame, view, id);
      return shown;
    },
  };
  const said: Record<string, string> = {};
  for (const key of propertyKeys) {
    if (!propertyOf(key).kinds.includes(node.kind)) continue;
    const says = table[key] as Says | undefined;
    const own = causesOf(key, heldBy(node, key));
    if (!says && own === "") continue;
    Object.defineProperty(said, key, {
      enumerable: true,
      configurable: true,
      get: () => {
        const value = says ? says(asked) : own;
        Object.defineProperty(said, key, { enumerable: true, value });
        return value;
      },
    });
  }
  return said;
};
