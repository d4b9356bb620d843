import type { Raw } from "../frame/raw.js";
import type { Frame } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { applyEdit } from "./apply.js";
import type { Edit } from "./edit.js";
import { upgradedFrame, upgradeWaiting } from "./upgrade.js";

/** A frame as format 1 had it. */
const older = {
  format: "handy-frame/1",
  name: "Old",
  short: 400,
  targets: [
    { id: "key", label: "Key" },
    { id: "swipe", label: "Swipe" },
  ],
  root: "app",
  nodes: {
    app: { kind: "stack", children: ["home", "note"] },
    home: {
      kind: "hub",
      children: ["a", "p"],
      faces: { hand: "bar", lap: "rail" },
      facesOn: { key: { hand: "drawer" } },
    },
    a: { kind: "screen", tab: { icon: "leaf", iconOn: { swipe: "plant" } } },
    p: { kind: "pair", list: "l", detail: "d", splitFrom: "desk" },
    l: { kind: "screen" },
    d: { kind: "screen" },
    note: { kind: "screen", opens: "sheet", opensIn: { desk: "dialog" }, opensOn: { swipe: "fullscreen" } },
  },
} as unknown as Frame;

const set = (node: string, key: string, value?: unknown): Edit => ({ kind: "set", node, key, value }) as Edit;

test.each<[string, Edit]>([
  ["gives a hub other faces", set("home", "faces", { hand: "top", desk: "panel" })],
  ["gives a hub no faces of its own", set("home", "faces")],
  ["gives a hub faces on a target", set("home", "facesOn", { swipe: { lap: "bar" } })],
  ["takes the faces on targets away", set("home", "facesOn")],
  ["gives a hub a face when low", set("home", "shortFace", "rail")],
  ["opens otherwise at a width", set("note", "opensIn", { lap: "side" })],
  ["opens otherwise on a target", set("note", "opensOn", { key: "dialog" })],
  ["opens as on every target", set("note", "opensOn")],
  ["splits from another width", set("p", "splitFrom", "hand")],
  ["splits as by default", set("p", "splitFrom")],
  ["gives a tab another icon on a target", set("a", "tab", { icon: "leaf", iconOn: { key: "list" }, label: "A" })],
  ["takes a tab's look away", set("a", "tab")],
  ["says where a tab is there alone", set("a", "tab", { icon: "leaf", only: { bands: ["lap"], targets: ["key"] } })],
  ["changes nothing that differs by view", set("a", "title", "Other")],
  [
    "says where an action is there alone",
    set("a", "actions", [{ id: "x", label: "X", place: "body", only: { bands: ["desk"] }, do: { kind: "back" } }]),
  ],
  ["puts keys back", { kind: "restore", nodes: { note: { set: { opensIn: { hand: "push" } }, drop: ["opensOn"] } } }],
  ["puts a whole node back", { kind: "restore", nodes: { note: { node: older.nodes.note! } } }],
  ["moves a node", { kind: "move", id: "note", from: "app", to: "app", after: null }],
  [
    "does several things",
    { kind: "batch", edits: [set("home", "faces", { lap: "panel" }), set("note", "opens", "dialog")] },
  ],
])("an edit of format 1 that waited and %s comes to the same on the frame as it is now", (_, edit) => {
  const was = applyEdit(older, edit);
  const now = upgradedFrame(older as unknown as Raw);
  const is = applyEdit(now, upgradeWaiting(now, edit, "handy-frame/1"));
  if (!was.ok || !is.ok) throw new Error("the edit cannot be made");
  expect(plainFrame(is.frame)).toEqual(plainFrame(upgradedFrame(was.frame as unknown as Raw)));
});
