import { applySoundly } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import type { Action, Id } from "../frame/parts.js";
import type { NodeKey } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import { frameOfLines } from "../outline/build.js";
import { readOutline } from "../outline/read.js";

/** A frame to begin with. */
export interface StartingShape {
  id: string;
  label: string;
  says: string;
  frame: Frame;
}

/** A frame made of a list, and of what a list does not say. */
const made = (list: string, ...edits: Edit[]): Frame => {
  const read = readOutline(list);
  const built = read.ok ? frameOfLines(read.lines) : read.faults;
  if (!("frame" in built)) throw new Error(`a starting shape is wrong: ${JSON.stringify(built)}`);
  const result = applySoundly(built.frame, { kind: "batch", edits });
  if (!result.ok) throw new Error(`a starting shape is wrong: ${JSON.stringify(result.faults)}`);
  return result.frame;
};

const set = (node: Id, key: NodeKey, value: unknown): Edit => ({ kind: "set", node, key, value });
const action = (id: string, label: string, act: Action["do"]): Action => ({ id, label, place: "footer", do: act });

const threeTabs = `Main =
  First *house /first
    Item {item} /first/:item
  Second *magnifying-glass /second
  Third *user /third
`;
const nameForm = { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] };

const blank = made("Home /");

const tabs = made(threeTabs, set("third", "body", nameForm));

const drawer = made(
  `Main =
  Inbox *tray /inbox
    Letter {letter} /inbox/:letter
  Archive *archive /archive
  Settings *gear /settings
`,
  set("main", "face", "drawer"),
  set("main", "vary", [
    { from: "lap", set: { face: "rail" } },
    { from: "desk", set: { face: "panel" } },
  ]),
  set("main", "heading", { title: "New app" }),
);

const pair = made(
  `Places |
  Places . /places
  Place {place} . /places/:place
`,
  set("places", "empty", "Choose a place."),
);

const signIn = made(
  `Welcome
  Sign in ^
  Main =
    Home *house /home
      Item {item} /home/:item
    Me *user /me
`,
  { kind: "setFrame", key: "facts", value: [{ id: "signedIn", label: "Signed in" }] },
  set("app", "start", "main"),
  set("main", "needs", [{ fact: "signedIn", is: true, otherwise: "welcome", resume: true }]),
  set("welcome", "needs", [{ fact: "signedIn", is: false, otherwise: "main" }]),
  set("signIn", "needs", [{ fact: "signedIn", is: false, otherwise: "main" }]),
  set("signIn", "body", { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] }),
  set("signIn", "actions", [
    action("signIn", "Sign in", { kind: "set", fact: "signedIn", is: true }),
    action("notNow", "Not now", { kind: "close" }),
  ]),
  set("welcome", "actions", [action("signIn", "Sign in", { kind: "open", to: "signIn" })]),
  set("me", "actions", [action("signOut", "Sign out", { kind: "set", fact: "signedIn", is: false })]),
);

/** The shapes a new frame can start from. */
export const startingShapes: readonly StartingShape[] = [
  { id: "blank", label: "Blank", says: "one stack with one screen", frame: blank },
  { id: "tabs", label: "Tabs", says: "three tabs, each a stack of its own", frame: tabs },
  { id: "drawer", label: "Drawer", says: "a drawer, wider a rail, then a panel", frame: drawer },
  { id: "pair", label: "List beside detail", says: "side by side where there is room", frame: pair },
  { id: "signIn", label: "Sign-in first", says: "a welcome, a sheet to sign in, then tabs", frame: signIn },
];
