import { reasonsTold } from "../device/reasons-told.js";
import fc from "fast-check";
import { type Edit, editBetween, equal, type Frame, lensOf, plainFrame, topOf, writeFrame } from "../../core/index.js";
import { pick, tabbed, tap } from "../../core/testing/frames.js";
import { OpenFrame } from "./open-frame.js";
import { Live, type Sent, Server, standIn, type Storage } from "./testing/fake-server.js";

const globals = globalThis as Record<string, unknown>;
let server: Server;
let opened: OpenFrame;
let close: () => void;

const now = () => ({ ...opened.editing.get(), ...opened.live.get(), ...opened.selection.get() });
const title = (value: string, node = "c"): Edit => ({ kind: "set", node, key: "title", value });
const settled = async () => {
  for (let i = 0; i < 2000 && now().sync === "saving"; i += 1) await new Promise((resolve) => setTimeout(resolve, 2));
};
const until = async (is: () => boolean) => {
  for (let i = 0; i < 2000 && !is(); i += 1) await new Promise((resolve) => setTimeout(resolve, 2));
};
const open = () => {
  opened = new OpenFrame({ id: "x", revision: server.revision, frame: server.frame }, {});
  close = opened.open();
};
const elsewhere = (edit: Edit, key = `other${server.revision}`) => {
  server.apply({ key, label: "elsewhere", edit });
  return server.kept.at(-1)!;
};
/** An edit made in another window, told here at once. */
const told = (edit: Edit) => {
  const edits = [elsewhere(edit)];
  Live.last!.onmessage!({ data: JSON.stringify({ kind: "revisions", frame: "x", revision: server.revision, edits }) });
};
const offered = () => [now().history.done.at(-1)?.label, now().history.undone.at(-1)?.label];
const top = () => topOf(lensOf(now().frame, now().device.view), now().device.at.state.root);

beforeEach(() => {
  server = new Server();
  standIn(server);
  open();
});
afterEach(() => close());

describe("an open frame", () => {
  test("shows an edit at once and sends it behind", async () => {
    expect(opened.editing.edit(title("See"), "Call it See")).toBeNull();
    expect(now()).toMatchObject({ sync: "saving", waiting: 1, frame: { nodes: { c: { title: "See" } } } });
    await settled();
    expect(now()).toMatchObject({ sync: "saved", waiting: 0, revision: 2 });
    expect(server.frame.nodes.c!.title).toBe("See");
  });
  test("tells why an edit is not possible, and sends nothing", async () => {
    expect(opened.editing.edit({ kind: "remove", id: "app" }, "Remove the root")).toHaveLength(1);
    await settled();
    expect(now().message?.text).toMatch("the root app");
    expect(server.revision).toBe(1);
  });
  test("sends undo and redo as edits like any other", async () => {
    opened.editing.edit(title("See"), "Call it See");
    opened.editing.undo();
    opened.editing.redo();
    opened.editing.undo();
    await settled();
    expect(server.kept.map(({ label }) => label)).toEqual([
      "Call it See",
      "Undo: Call it See",
      "Redo: Call it See",
      "Undo: Call it See",
    ]);
    expect(equal(server.frame, plainFrame(tabbed()))).toBe(true);
  });
  test("calls what is undone no longer than the server takes it", async () => {
    opened.editing.edit(title("See"), `Call it ${"é".repeat(300)}`);
    opened.editing.undo();
    await settled();
    expect(server.kept.map(({ label }) => label.length)).toEqual([200, 200]);
  });
  test("keeps the device where it is while the frame changes", () => {
    opened.live.send(pick(2));
    opened.live.send(tap("deep"));
    opened.editing.edit(title("Deeper", "deep"), "Call it Deeper");
    expect(reasonsTold(now().device.reasons)[0]).toMatch("kept its place on Deeper");
    opened.editing.edit({ kind: "remove", id: "deep" }, "Delete it");
    expect(reasonsTold(now().device.reasons)[0]).toMatch("it is on Item 2");
  });
});

test("a link is tried on the device with its facts, and starting over keeps those that last", () => {
  const facts = [
    { id: "in", label: "In" },
    { id: "now", label: "Now", lasting: false },
  ];
  opened.editing.edit({ kind: "setFrame", key: "facts", value: facts }, "Two facts");
  opened.live.follow("/a/4", { start: "cold", facts: { in: true, now: true } });
  expect(reasonsTold(now().device.reasons)).toEqual(["The app started by the link, on Item 4, laid on A."]);
  opened.live.follow("/b", { start: "running", facts: { in: true, now: true } });
  expect(now().device.at.state).toMatchObject({ facts: { in: true, now: true }, outside: false });
  expect(reasonsTold(now().device.reasons)[0]).toMatch("bTab was chosen for the first time");
  opened.live.follow("/a/%", { start: "cold", facts: { in: true, now: true } });
  expect(reasonsTold(now().device.reasons).join()).toMatch("no valid percent-encoding");
  opened.live.relaunch();
  expect(now().device.at.state.facts).toEqual({ in: true, now: false });
});

describe("with others at the same frame", () => {
  test("its own edits go on top of what it missed", async () => {
    elsewhere(title("Theirs", "b"));
    opened.editing.edit(title("Mine"), "Mine");
    await settled();
    expect(server.frame.nodes).toMatchObject({ b: { title: "Theirs" }, c: { title: "Mine" } });
    expect(equal(now().frame, server.frame)).toBe(true);
    expect(now()).toMatchObject({ revision: 3, message: null });
  });
  test("what no longer fits is said, and the rest is kept", async () => {
    elsewhere({ kind: "remove", id: "deep" });
    opened.editing.edit(title("Deeper", "deep"), "Call it Deeper");
    opened.editing.edit(title("Mine"), "Mine");
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
    opened.editing.edit(added, "Add it");
    await until(() => now().sync === "away" && (globals.localStorage as Storage).length > 0);
    const storage = globals.localStorage as Storage;
    const kept = JSON.parse(storage.getItem(storage.key(0)!)!) as { form: number; value: Sent[] };
    const [waiting] = kept.value;
    server.apply(waiting!);
    server.away = false;
    opened.editing.edit(title("Mine"), "Mine");
    await settled();
    await new Promise((resolve) => setTimeout(resolve, 20));
    opened.editing.edit(title("Again"), "Again");
    for (let i = 0; i < 300 && now().waiting > 0; i += 1) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(server.kept.filter(({ label }) => label === "Add it")).toHaveLength(1);
    expect(server.frame.nodes.c!.title).toBe("Again");
    expect(equal(now().frame, server.frame)).toBe(true);
  });
  test("their edits show as they are told, and its undo takes back only its own", async () => {
    opened.editing.edit(title("Mine"), "Mine");
    await settled();
    const theirs = elsewhere(title("Theirs", "b"));
    Live.last!.onmessage!({
      data: JSON.stringify({ kind: "revisions", frame: "x", revision: server.revision, edits: [theirs] }),
    });
    expect(now().frame.nodes.b!.title).toBe("Theirs");
    opened.editing.undo();
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
    opened.editing.edit(title("See"), "Call it See");
    await until(() => now().sync === "away");
    expect(now()).toMatchObject({ sync: "away", waiting: 1, frame: { nodes: { c: { title: "See" } } } });
    close();
    server.away = false;
    open();
    await until(() => now().frame.nodes.c!.title === "See");
    expect(now().frame.nodes.c!.title).toBe("See");
    await settled();
    expect(server.frame.nodes.c!.title).toBe("See");
  });
});

describe("an edit that the server cannot store", () => {
  const added = (id: string): Edit => ({
    kind: "add",
    nodes: { [id]: { kind: "screen" } },
    top: id,
    parent: "aTab",
    after: "a",
  });
  test.each([
    ["refuses", 422, 1],
    ["fails at", 500, 3],
  ])(
    "as it %s it, is set aside with the reason, and all others are sent",
    async (_, status, tries) => {
      server.refuses = ({ label }) => (label === "Bad" ? status : null);
      let asked = 0;
      const counting = server.refuses;
      server.refuses = (sent) => {
        if (sent.label === "Bad") asked += 1;
        return counting(sent);
      };
      opened.editing.edit(title("Before"), "Before");
      opened.editing.edit(added("bad"), "Bad");
      opened.editing.edit(title("On it", "bad"), "Builds on it");
      opened.editing.edit(title("After", "b"), "After");
      for (let i = 0; i < 500 && now().waiting > 0; i += 1) await new Promise((resolve) => setTimeout(resolve, 10));
      expect(now()).toMatchObject({ sync: "saved", trouble: null, message: null });
      expect(asked).toBeGreaterThanOrEqual(tries);
      expect(server.frame.nodes).toMatchObject({ c: { title: "Before" }, b: { title: "After" } });
      expect(equal(now().frame, server.frame)).toBe(true);
      expect(now().aside.map(({ label, why }) => [label, why])).toEqual([
        ["Bad", "It cannot be kept. There is a reason."],
        ["Builds on it", "It builds on “Bad”, which the server could not store."],
      ]);
      expect(offered()).toEqual(["After", undefined]);
      // it outlives the page, and is made again once that goes
      close();
      open();
      expect(now().aside).toHaveLength(2);
      server.refuses = () => null;
      opened.editing.tryAgain(now().aside[0]!);
      opened.editing.tryAgain(now().aside[0]!);
      await settled();
      expect(server.frame.nodes.bad).toMatchObject({ title: "On it" });
      expect(now().aside).toEqual([]);
    },
    20_000,
  );
  test("of a frame that was deleted waits until it is brought back", async () => {
    server.refuses = () => 404;
    opened.editing.edit(title("See"), "Call it See");
    await until(() => now().deleted);
    expect(now()).toMatchObject({ deleted: true, waiting: 1, frame: { nodes: { c: { title: "See" } } } });
    server.refuses = () => null;
    Live.last!.onmessage!({ data: JSON.stringify({ kind: "back", frame: "x", revision: 1 }) });
    for (let i = 0; i < 300 && now().waiting > 0; i += 1) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(server.frame.nodes.c!.title).toBe("See");
  });
});

describe("undo says what it will undo and does it, or is not offered", () => {
  test("after an earlier revision was restored here: the restore itself comes first", () => {
    const first = now().frame;
    opened.editing.edit(title("One"), "One");
    opened.editing.edit(title("Two", "b"), "Two");
    opened.editing.restore(first, 1);
    expect(equal(now().frame, first)).toBe(true);
    expect(offered()).toEqual(["Restore revision 1", undefined]);
    opened.editing.undo();
    expect(now().frame.nodes).toMatchObject({ c: { title: "One" }, b: { title: "Two" } });
    expect(offered()).toEqual(["Two", "Restore revision 1"]);
    opened.editing.undo();
    opened.editing.undo();
    expect(offered()[0]).toBeUndefined();
    opened.editing.restore(now().frame, 1);
    expect(now().message).toEqual({ tone: "plain", text: "The frame is as it was at revision 1 already." });
  });
  test("after a restore in another window: what it took back is not offered, what it left is", async () => {
    const first = now().frame;
    opened.editing.edit(title("Kept", "deep"), "Kept");
    await settled();
    const second = now().frame;
    opened.editing.edit(title("One"), "One");
    opened.editing.edit(title("Two", "b"), "Two");
    await settled();
    told(editBetween(now().frame, second));
    expect(offered()).toEqual(["Kept", undefined]);
    opened.editing.undo();
    expect(equal(now().frame, first)).toBe(true);
    expect(offered()).toEqual([undefined, "Kept"]);
  });
  test("after edits from another window: what they wrote since is not taken back", async () => {
    opened.editing.edit(title("Mine", "b"), "Mine first");
    opened.editing.edit({ kind: "batch", edits: [title("Mine"), title("Mine too", "deep")] }, "Mine on two");
    await settled();
    told(title("Theirs"));
    expect(offered()[0]).toBe("Mine on two");
    opened.editing.undo();
    expect(now().frame.nodes.c!.title).toBe("Theirs");
    expect(now().frame.nodes.deep!.title).toBe("Deep");
    opened.editing.redo();
    expect(now().frame.nodes).toMatchObject({ c: { title: "Theirs" }, deep: { title: "Mine too" } });
    await settled();
    told({ kind: "remove", id: "deep" });
    expect(offered()).toEqual(["Mine first", undefined]);
    told(title("Theirs", "b"));
    expect(offered()).toEqual([undefined, undefined]);
  });
  test("after a reload: only what was made since", async () => {
    opened.editing.edit(title("One"), "One");
    await settled();
    close();
    open();
    expect(offered()).toEqual([undefined, undefined]);
    server.away = true;
    opened.editing.edit(title("Two"), "Two");
    await until(() => now().sync === "away");
    close();
    server.away = false;
    open();
    await until(() => now().history.done.length > 0);
    // what had not been sent is made here again
    expect(offered()).toEqual(["Two", undefined]);
    opened.editing.undo();
    expect(now().frame.nodes.c!.title).toBe("One");
  });
  test("whatever was done in whichever order: an undo that is offered changes something, and takes it back", () => {
    const id = fc.constantFrom("a", "b", "c", "deep", "item");
    const anyTitle = fc.record({ id, value: fc.constantFrom("x", "y", "z") });
    const act = fc.oneof(
      {
        weight: 4,
        arbitrary: anyTitle.map(
          ({ id, value }) =>
            () =>
              void opened.editing.edit(title(value, id), value),
        ),
      },
      {
        weight: 2,
        arbitrary: anyTitle.map(
          ({ id, value }) =>
            () =>
              told(title(value, id)),
        ),
      },
      { weight: 1, arbitrary: id.map((node) => () => void opened.editing.edit({ kind: "remove", id: node }, "gone")) },
      { weight: 1, arbitrary: fc.constant(() => opened.editing.restore(plainFrame(tabbed()), 1)) },
      { weight: 2, arbitrary: fc.constant(() => opened.editing.undo()) },
      { weight: 1, arbitrary: fc.constant(() => opened.editing.redo()) },
    );
    fc.assert(
      fc.property(fc.array(act, { minLength: 3, maxLength: 20 }), (acts) => {
        close();
        server = new Server();
        standIn(server);
        open();
        for (const each of acts) {
          each();
          const before = now();
          if (before.history.done.length === 0) continue;
          opened.editing.undo();
          expect(now().message).toBeNull();
          expect(now().frame).not.toBe(before.frame);
          opened.editing.redo();
          expect(equal(now().frame, before.frame)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe("the device stays where it was under an id that is another now", () => {
  const rename: Edit = { kind: "rename", id: "deep", to: "deeper" };
  beforeEach(() => {
    opened.live.send(pick(2));
    opened.live.send(tap("deep"));
    opened.live.send({ do: "scroll", to: 40 });
    opened.selection.choose({ id: "deep", parent: "aTab" });
  });
  const isThere = (id: string) => {
    expect(top()).toMatchObject({ node: id, ui: { scroll: 40 } });
    expect(now().chosen).toEqual({ id, parent: "aTab" });
  };
  test("through a rename, its undo and its redo", () => {
    opened.editing.edit(rename, "Rename");
    isThere("deeper");
    opened.editing.undo();
    isThere("deep");
    opened.editing.redo();
    isThere("deeper");
  });
  test("through renames in another window, and their undo there", () => {
    const before = server.frame;
    told({ kind: "batch", edits: [rename, { kind: "rename", id: "aTab", to: "first" }] });
    expect(top()).toMatchObject({ node: "deeper", ui: { scroll: 40 } });
    expect(now().chosen).toEqual({ id: "deeper", parent: "first" });
    told({ ...editBetween(server.frame, before), renamed: { deeper: "deep", first: "aTab" } });
    isThere("deep");
    // one that the server had while the connection was gone is told edit by edit too
    elsewhere(rename);
    Live.last!.onmessage!({
      data: JSON.stringify({ kind: "revisions", revision: server.revision, edits: server.kept.slice(-1) }),
    });
    isThere("deeper");
  });
});

test("a frame is in memory as it would be written, so that saving it unchanged is no change", () => {
  const targets = [
    { id: "touch", label: "Phone", systemBack: true, edgeSwipe: false },
    { id: "swipe", label: "Swipe-back phone", systemBack: false, edgeSwipe: true },
  ];
  opened.editing.edit({ kind: "setFrame", key: "targets", value: targets }, "Add a target");
  expect(now().frame.targets![0]).toEqual({ id: "touch", label: "Phone" });
  const written = JSON.parse(writeFrame(now().frame)) as Frame;
  expect(editBetween(now().frame, written)).toEqual({ kind: "restore" });
});
