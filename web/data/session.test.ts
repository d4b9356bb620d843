import { type Edit, equal, plainFrame } from "../../core/index.js";
import { pick, tabbed, tap } from "../../core/testing/frames.js";
import { OpenFrame } from "./session.js";
import { Live, type Sent, Server, standIn, type Storage } from "./testing/fake-server.js";

const globals = globalThis as Record<string, unknown>;
let server: Server;
let opened: OpenFrame;
let close: () => void;

const now = () => opened.external.get();
const title = (value: string, node = "c"): Edit => ({ kind: "set", node, key: "title", value });
const settled = async () => {
  for (let i = 0; i < 200 && now().sync === "saving"; i += 1) await new Promise((resolve) => setTimeout(resolve, 2));
};
const open = () => {
  opened = new OpenFrame({ id: "x", revision: server.revision, frame: server.frame }, {});
  close = opened.open();
};
const elsewhere = (edit: Edit, key = `other${server.revision}`) => {
  server.apply({ key, label: "elsewhere", edit });
  return server.kept.at(-1)!;
};

beforeEach(() => {
  server = new Server();
  standIn(server);
  open();
});
afterEach(() => close());

describe("an open frame", () => {
  test("shows an edit at once and sends it behind", async () => {
    expect(opened.edit(title("See"), "Call it See")).toBeNull();
    expect(now()).toMatchObject({ sync: "saving", waiting: 1, frame: { nodes: { c: { title: "See" } } } });
    await settled();
    expect(now()).toMatchObject({ sync: "saved", waiting: 0, revision: 2 });
    expect(server.frame.nodes.c!.title).toBe("See");
  });
  test("tells why an edit is not possible, and sends nothing", async () => {
    expect(opened.edit({ kind: "remove", id: "app" }, "Remove the root")).toHaveLength(1);
    await settled();
    expect(now().message?.text).toMatch("the root app");
    expect(server.revision).toBe(1);
  });
  test("sends undo and redo as edits like any other", async () => {
    opened.edit(title("See"), "Call it See");
    opened.undo();
    opened.redo();
    opened.undo();
    await settled();
    expect(server.kept.map(({ label }) => label)).toEqual([
      "Call it See",
      "Undo: Call it See",
      "Redo: Call it See",
      "Undo: Call it See",
    ]);
    expect(equal(server.frame, plainFrame(tabbed()))).toBe(true);
  });
  test("keeps the device where it is while the frame changes", () => {
    opened.send(pick(2));
    opened.send(tap("deep"));
    opened.edit(title("Deeper", "deep"), "Call it Deeper");
    expect(now().device.reasons[0]).toMatch("kept its place on Deeper");
    opened.edit({ kind: "remove", id: "deep" }, "Delete it");
    expect(now().device.reasons[0]).toMatch("it is on Item 2");
  });
});

test("a link is tried on the device with its facts, and starting over keeps those that last", () => {
  const facts = [
    { id: "in", label: "In" },
    { id: "now", label: "Now", lasting: false },
  ];
  opened.edit({ kind: "setFrame", key: "facts", value: facts }, "Two facts");
  opened.tryOnDevice("/a/4", { start: "cold", facts: { in: true, now: true } });
  expect(now().device.reasons).toEqual(["The app started by the link, on Item 4, laid on A."]);
  opened.tryOnDevice("/b", { start: "running", facts: { in: true, now: true } });
  expect(now().device.at.state).toMatchObject({ facts: { in: true, now: true }, outside: false });
  expect(now().device.reasons[0]).toMatch("bTab was chosen for the first time");
  opened.tryOnDevice("/a/%", { start: "cold", facts: { in: true, now: true } });
  expect(now().device.reasons.join()).toMatch("no valid percent-encoding");
  opened.relaunch();
  expect(now().device.at.state.facts).toEqual({ in: true, now: false });
});

describe("with others at the same frame", () => {
  test("its own edits go on top of what it missed", async () => {
    elsewhere(title("Theirs", "b"));
    opened.edit(title("Mine"), "Mine");
    await settled();
    expect(server.frame.nodes).toMatchObject({ b: { title: "Theirs" }, c: { title: "Mine" } });
    expect(equal(now().frame, server.frame)).toBe(true);
    expect(now()).toMatchObject({ revision: 3, message: null });
  });
  test("what no longer fits is said, and the rest is kept", async () => {
    elsewhere({ kind: "remove", id: "deep" });
    opened.edit(title("Deeper", "deep"), "Call it Deeper");
    opened.edit(title("Mine"), "Mine");
    await settled();
    expect(now().message?.text).toMatch("Not kept: Call it Deeper.");
    expect(server.frame.nodes.c!.title).toBe("Mine");
    expect(equal(now().frame, server.frame)).toBe(true);
  });
  test("an edit whose answer was lost is known by its key, and not made twice", async () => {
    const added: Edit = {
      kind: "add",
      nodes: { fresh: { kind: "screen" } },
      top: "fresh",
      parent: "aTab",
      after: null,
    };
    server.away = true;
    opened.edit(added, "Add it");
    await new Promise((resolve) => setTimeout(resolve, 5));
    const storage = globals.localStorage as Storage;
    const [waiting] = JSON.parse(storage.getItem(storage.key(0)!)!) as Sent[];
    server.apply(waiting!);
    server.away = false;
    opened.edit(title("Mine"), "Mine");
    await settled();
    await new Promise((resolve) => setTimeout(resolve, 20));
    opened.edit(title("Again"), "Again");
    for (let i = 0; i < 300 && now().waiting > 0; i += 1) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(server.kept.filter(({ label }) => label === "Add it")).toHaveLength(1);
    expect(server.frame.nodes.c!.title).toBe("Again");
    expect(equal(now().frame, server.frame)).toBe(true);
  });
  test("their edits show as they are told, and its undo takes back only its own", async () => {
    opened.edit(title("Mine"), "Mine");
    await settled();
    const theirs = elsewhere(title("Theirs", "b"));
    Live.last!.onmessage!({
      data: JSON.stringify({ kind: "revisions", frame: "x", revision: server.revision, edits: [theirs] }),
    });
    expect(now().frame.nodes.b!.title).toBe("Theirs");
    opened.undo();
    await settled();
    expect(server.frame.nodes.b!.title).toBe("Theirs");
    expect(server.frame.nodes.c!.title).toBeUndefined();
  });
  test("a frame that is deleted elsewhere says so", () => {
    Live.last!.onmessage!({ data: JSON.stringify({ kind: "deleted", frame: "x", revision: 1 }) });
    expect(now().deleted).toBe(true);
  });
});

describe("without the server", () => {
  test("edits wait, outlive the page, and are sent when it is back", async () => {
    server.away = true;
    opened.edit(title("See"), "Call it See");
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect(now()).toMatchObject({ sync: "away", waiting: 1, frame: { nodes: { c: { title: "See" } } } });
    close();
    server.away = false;
    open();
    await new Promise((resolve) => setTimeout(resolve, 1));
    expect(now().frame.nodes.c!.title).toBe("See");
    await settled();
    expect(server.frame.nodes.c!.title).toBe("See");
  });
  test("what the server refuses is said, and what it has is shown", async () => {
    server.refusing = true;
    opened.edit(title("See"), "Call it See");
    await settled();
    expect(now().message?.text).toMatch("Not kept: Call it See.");
    expect(now()).toMatchObject({ waiting: 0 });
    expect(now().frame.nodes.c!.title).toBeUndefined();
  });
});
