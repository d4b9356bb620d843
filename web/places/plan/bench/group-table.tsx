import type { ReactNode } from "react";
import {
  bandsOf,
  classIn,
  type Frame,
  heldBy,
  heldIn,
  type Id,
  isInStack,
  isVaried,
  lensOf,
  lookOf,
  needsAbove,
  type Node,
  type NodeKey,
  nodeAt,
  optionsOf,
  parentsOf,
  placesOf,
  plainName,
  shortNeeds,
  slotsOf,
  type Slot,
  standsInFor,
  startOf,
  type View,
  waysIn,
  waysOut,
} from "../../../../core/index.js";
import { BarsGroup } from "./bars-group.js";
import type { BenchGroup } from "./bench-groups.js";
import { BodyGroup, bodyWords } from "./body-group.js";
import { DiffersGroup } from "./differs-group.js";
import { ExtrasGroup } from "./extras-group.js";
import { FacesGroup, HubLookGroup, HubRulesGroup } from "./hub-groups.js";
import { brief } from "./index-grid.js";
import { LeaveGroup } from "./leave-group.js";
import { MotionGroup } from "./motion-group.js";
import { NeedsGroup } from "./needs-group.js";
import { OpensGroup } from "./opens-group.js";
import { PairGroup } from "./pair-group.js";
import { StepsGroup } from "./steps-group.js";
import { TabGroup } from "./tab-group.js";
import { TitleGroup } from "./title-group.js";
import { WaysInGroup } from "./ways-in-group.js";
import { WaysOutGroup } from "./ways-out-group.js";
import { WithinGroup } from "./within-group.js";

/** What the bench is asked about. */
export interface About {
  frame: Frame;
  view: View;
  id: Id;
  /** The place in which it is chosen; null for the root and for what is loose. */
  parent: Id | null;
  node: Node;
}

interface GroupRow {
  id: string;
  label: string;
  name?: string;
  /** px it needs to stand beside another. */
  width: number;
  body: () => ReactNode;
  isThere: (about: About) => boolean;
  /** What holds now, in a few words. */
  value: (about: About) => string;
  /** What of it may differ by view. */
  slots?: readonly Slot[];
  /** The settings whose marks stand in it. */
  marks?: readonly NodeKey[];
}

const ofKind =
  (...kinds: Node["kind"][]) =>
  ({ node }: About): boolean =>
    kinds.includes(node.kind);
const always = () => true;
const isRoot = ({ frame, id }: About): boolean => id === frame.root;
const isContainer = ({ node }: About): boolean => node.kind !== "screen";
const inHub = ({ frame, id }: About): boolean =>
  parentsOf(frame, id).some((parent) => nodeAt(frame, parent).kind === "hub");

const titleWords = ({ frame, node }: About): string => {
  if (node.kind === "screen") return node.path ?? "no address";
  const start = node.kind === "pair" ? undefined : startOf(node);
  return start === undefined ? (node.title ?? "no title") : `from ${plainName(frame, start)}`;
};

const tabWords = ({ frame, id, node }: About): string =>
  node.tab?.hidden ? "hidden" : (node.tab?.label ?? plainName(frame, id));

const opensWord = ({ frame, view, id }: About): string => {
  const { opens } = lensOf(frame, view).look(id);
  return (optionsOf("opens").find(({ value }) => value === opens)?.label ?? opens).toLowerCase();
};

const barsWords = ({ frame, view, id, parent }: About): string => {
  const lens = lensOf(frame, view);
  const place = parent ?? placesOf(frame, id)[0];
  const held = (key: "bars" | "header") => (place === undefined ? lens.look(id)[key] : heldIn(lens, id, place, key));
  const header = held("header");
  const bars = held("bars") === "hide" ? "hidden" : "stay";
  return header === null ? bars : `${bars} · ${header === "on" ? "header" : "no header"}`;
};

const faceWords = ({ frame, view, id }: About): string => {
  const faces = bandsOf(frame).map(({ id: band }) => lookOf(frame, id, classIn(frame, band, view.target)).face);
  return faces.filter((face, i) => face !== faces[i - 1]).join(" · ");
};

const ruleWords = ({ node }: About): string => {
  const of = (key: "keep") => optionsOf(key, true).find(({ value }) => value === String(heldBy(node, key)));
  return of("keep")?.label ?? "";
};

const withinWords = ({ frame, view, id }: About): string => {
  const count = Object.keys(lensOf(frame, view).look(id).within).length;
  return count ? `${count} set` : "as around";
};

const needWords = ({ frame, id, node }: About): string => {
  const above = needsAbove(frame, id).filter((each) => each.id !== id);
  const count = node.needs?.length ?? 0;
  if (count > 0) return count > 1 ? `${count} facts` : shortNeeds(frame, id);
  return above.length ? `by ${plainName(frame, above[0]?.id ?? id)}` : "nothing";
};

const motionWords = ({ node }: About): string => (Object.keys(node.motion ?? {}).length ? "its own" : "as the app");

const splitWords = ({ frame, view, id }: About): string => {
  const bands = bandsOf(frame);
  const split = bands.filter(({ id: band }) => lookOf(frame, id, classIn(frame, band, view.target)).split);
  if (split.length === 0) return "never";
  return split.length === bands.length ? "always" : split.map(({ id: band }) => band).join(", ");
};

const waysInWords = ({ frame, id }: About): string => {
  const count = waysIn(frame, id).length;
  return count === 0 && standsInFor(frame, id).length ? "stands in" : String(count);
};

const differsWords = ({ node }: About): string => {
  const count = slotsOf(node.kind).filter(({ slot }) => isVaried(node, slot)).length;
  return count === 0 ? "nothing" : `${count} ${count === 1 ? "thing" : "things"}`;
};

/** Every group of the bench, in the order of the index. */
const table: readonly GroupRow[] = [
  {
    id: "title",
    label: "title",
    name: "Title and address",
    width: 420,
    marks: ["start", "base", "note", "empty"],
    body: () => <TitleGroup />,
    isThere: always,
    value: titleWords,
    slots: ["title"],
  },
  {
    id: "tab",
    label: "as a tab",
    name: "As a tab",
    width: 400,
    body: () => <TabGroup />,
    isThere: inHub,
    value: tabWords,
    slots: ["tab.label", "tab.icon", "tab.activeIcon"],
  },
  {
    id: "shows",
    label: "shows",
    name: "What it shows",
    width: 380,
    body: () => <BodyGroup />,
    isThere: ofKind("screen"),
    value: ({ node }) => bodyWords(node.kind === "screen" ? node.body : undefined),
  },
  {
    id: "steps",
    label: "holds",
    name: "What it holds",
    width: 360,
    body: () => <StepsGroup />,
    isThere: ofKind("stack"),
    value: ({ node }) => String(node.kind === "stack" ? node.children.length : 0),
  },
  {
    id: "face",
    label: "tabs shown as",
    name: "Tabs shown as",
    width: 420,
    marks: ["face", "limit"],
    body: () => <FacesGroup />,
    isThere: ofKind("hub"),
    value: faceWords,
    slots: ["face", "limit"],
  },
  {
    id: "rules",
    label: "tabs keep",
    name: "What its tabs keep, and Back",
    width: 420,
    marks: ["keep", "again", "back", "start"],
    body: () => <HubRulesGroup />,
    isThere: ofKind("hub"),
    value: ruleWords,
    slots: ["again", "back"],
  },
  {
    id: "draws",
    label: "labels",
    name: "Labels, strip and heading",
    width: 420,
    marks: ["labels", "floating", "strip", "heading", "faceEdge"],
    body: () => <HubLookGroup />,
    isThere: ofKind("hub"),
    value: ({ node }) => String(node.kind === "hub" ? heldBy(node, "labels") : ""),
    slots: ["labels", "floating", "strip", "heading", "faceEdge"],
  },
  {
    id: "extras",
    label: "at its end",
    name: "Actions at its end",
    width: 480,
    body: () => <ExtrasGroup />,
    isThere: ofKind("hub"),
    value: ({ node }) => String((node.kind === "hub" && node.extras?.length) || "no action"),
  },
  {
    id: "split",
    label: "side by side",
    name: "Side by side",
    width: 420,
    marks: ["split", "ratio"],
    body: () => <PairGroup />,
    isThere: ofKind("pair"),
    value: splitWords,
    slots: ["split", "ratio"],
  },
  {
    id: "opens",
    label: "opens as",
    name: "Opens as",
    width: 400,
    marks: ["opens", "rest", "over", "edge"],
    body: () => <OpensGroup />,
    isThere: ({ frame, id }) => isInStack(frame, id),
    value: opensWord,
    slots: ["opens", "rest", "over", "edge"],
  },
  {
    id: "bars",
    label: "bars, header",
    name: "Bars and header",
    width: 400,
    marks: ["bars", "header", "system"],
    body: () => <BarsGroup />,
    isThere: (about) => !isRoot(about) && about.node.kind !== "hub",
    value: barsWords,
    slots: ["bars", "header", "system"],
  },
  {
    id: "within",
    label: "screens in it",
    name: "For every screen in it",
    width: 400,
    body: () => <WithinGroup />,
    isThere: isContainer,
    value: withinWords,
    slots: ["within.bars", "within.header", "within.system"],
  },
  {
    id: "in",
    label: "ways in",
    name: "Ways in, each with its Back",
    width: 520,
    body: () => <WaysInGroup />,
    isThere: (about) => !isRoot(about),
    value: waysInWords,
  },
  {
    id: "out",
    label: "ways out",
    name: "Ways out",
    width: 520,
    body: () => <WaysOutGroup />,
    isThere: ofKind("screen"),
    value: ({ id, node }) => String(waysOut(id, node).length),
  },
  {
    id: "leave",
    label: "when left",
    name: "Before it is left",
    width: 380,
    marks: ["leave"],
    body: () => <LeaveGroup />,
    isThere: ofKind("screen"),
    value: ({ node }) => (node.kind === "screen" && node.leave ? "asks" : "unasked"),
  },
  {
    id: "needs",
    label: "needs",
    name: "Needs",
    width: 400,
    body: () => <NeedsGroup />,
    isThere: (about) => !isRoot(about),
    value: needWords,
  },
  {
    id: "motion",
    label: "motion",
    name: "Motion",
    width: 380,
    body: () => <MotionGroup />,
    isThere: always,
    value: motionWords,
    slots: [],
  },
  {
    id: "differs",
    label: "differs",
    name: "What differs by view",
    width: 420,
    body: () => <DiffersGroup />,
    isThere: always,
    value: differsWords,
  },
];

/** The groups of a node, by what it is and where it stands, each with what holds now. */
export const groupsOf = (about: About): BenchGroup[] =>
  table
    .filter(({ isThere }) => isThere(about))
    .map(({ id, label, name, width, body, value, slots = [] }) => ({
      id,
      label,
      ...(name !== undefined && { name }),
      width,
      body,
      value: brief(value(about)),
      varies: slots.some((slot) => isVaried(about.node, slot)),
    }));

/** The group in which the mark of a setting stands. */
export const groupWithMark = (about: About, key: NodeKey): string | undefined =>
  table.find(({ marks = [], isThere }) => marks.includes(key) && isThere(about))?.id;
