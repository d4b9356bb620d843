import { existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { quickCommands } from "./commands.js";
import { ran, root, started } from "./testing/ran.js";

const demo = join(root, "demo", "allotment.frame.json");
const kept = mkdtempSync(join(tmpdir(), "handy-frame-cli-"));
const file = (name: string, value: unknown): string => {
  const path = join(kept, name);
  writeFileSync(path, typeof value === "string" ? value : JSON.stringify(value));
  return path;
};
/** Does what a command line asks for, in this process. */
const handy = (args: string[], input = "") => ran(args, quickCommands, input);
const changed = (change: (frame: any) => void): string => {
  const frame = JSON.parse(readFileSync(demo, "utf8"));
  change(frame);
  return JSON.stringify(frame);
};

describe("play", () => {
  test("prints a snapshot after the launch and after each event", async () => {
    const events = file("events.json", [
      { do: "wait", ms: 1200 },
      { do: "pick", row: 3 },
      { do: "pick", row: 2 },
      { do: "tap", action: "picture" },
      { do: "back" },
    ]);
    const { code, out } = await handy(["play", demo, "--events", events]);
    const snapshots = JSON.parse(out);
    expect(code).toBe(0);
    expect(snapshots.map((snapshot: any) => [snapshot.top, snapshot.bars.length, snapshot.back.join(" ")])).toEqual([
      ["splash", 0, "exit"],
      ["plots", 1, "exit"],
      ["plot", 1, "plots exit"],
      ["bed", 1, "plot plots exit"],
      ["photo", 0, "bed plot plots exit"],
      ["bed", 1, "plot plots exit"],
    ]);
    expect(Object.keys(snapshots[0]).sort()).toEqual(
      "address asking back bars carried facts headers moves notes outside overlay params pending shown tabs top trail ui".split(
        " ",
      ),
    );
    expect(snapshots[2]).toMatchObject({
      params: { plot: "3" },
      address: "/plots/3",
      tabs: { plotsTab: ["plots", "plot"] },
      overlay: null,
      pending: null,
      asking: null,
    });
  });
  test("takes a view, a target, facts and the frame from standard input", async () => {
    const withFact = changed((frame) => {
      frame.facts.push({ id: "member", label: "Member" });
      delete frame.nodes.splash.after;
      frame.nodes.app.start = "home";
    });
    const { code, out } = await handy(
      ["play", "-", "--view", "1000x700", "--on", "swipe", "--fact", "member=true", "--regions"],
      withFact,
    );
    expect(code).toBe(0);
    const [first] = JSON.parse(out);
    expect(first).toMatchObject({ facts: { signedIn: true, member: true }, back: ["stay"], bars: [{ face: "rail" }] });
    expect(first.regions[0]).toEqual({ role: "content", node: "plots", x: 76, y: 50, width: 924, height: 650 });
  });
  test("takes other views with a hinge and strips, and answers what a screen asks", async () => {
    const sky = join(root, "demo", "night-sky.frame.json");
    const events = file("fold.json", [
      { do: "pick", row: 3 },
      { do: "view", width: 700, height: 840, insets: { top: 28, bottom: 18 }, hinge: { x: 344, size: 12 } },
      { do: "view", width: 700, height: 840, hinge: null, insets: {}, rtl: true },
      { do: "tab", to: "me" },
      { do: "type", field: "glass", text: "Eight inch" },
      { do: "back" },
      { do: "tap", action: "leave" },
      { do: "answer", leave: false },
    ]);
    const { code, out, err } = await handy(["play", sky, "--events", events, "--regions"]);
    expect([code, err]).toEqual([0, ""]);
    const snapshots = JSON.parse(out);
    const panes = (n: number) =>
      snapshots[n].regions
        .filter(({ role }: any) => role === "list" || role === "detail")
        .map((each: any) => [each.x, each.width]);
    expect(panes(2)).toEqual([
      [76, 268],
      [356, 344],
    ]);
    expect(panes(3)).toEqual([
      [344, 280],
      [0, 344],
    ]);
    expect(snapshots.map(({ top }: any) => top).slice(1)).toEqual([
      "night",
      "night",
      "night",
      "me",
      "me",
      "night",
      "night",
      "night",
    ]);
    expect(snapshots.at(-1)).toMatchObject({ asking: null });
  });
  test("starts by a link, with facts", async () => {
    const bed = "https://diary.example/plots/3/beds/2";
    const inside = JSON.parse((await handy(["play", demo, "--url", bed])).out);
    expect(inside).toMatchObject([{ top: "bed", back: ["plot", "plots", "exit"], address: "/plots/3/beds/2" }]);
    const events = file("enter.json", [
      { do: "tap", action: "toSignIn" },
      { do: "tap", action: "enter" },
      { do: "link", url: "/swaps/2", start: "running" },
    ]);
    const { out } = await handy(["play", demo, "--url", bed, "--fact", "signedIn=false", "--events", events]);
    expect(JSON.parse(out)).toMatchObject([
      { top: "welcome", back: ["exit"], pending: { to: "bed", params: { plot: "3", bed: "2" } } },
      { top: "signIn" },
      { top: "bed", back: ["plot", "plots", "exit"], pending: null },
      { top: "offer" },
    ]);
  });
  test.each([
    ["an event that is no object", [[{ do: "back" }, 7], "/1: received 7; expected an event"]],
    ["an event nobody knows", [[{ do: "fly" }], '/0/do: received "fly"; expected one of tap']],
    ["an event with a wrong value", [[{ do: "pick", row: "3" }], '/0/row: received "3"; expected the number of a row']],
    ["an event with a key too many", [[{ do: "back", twice: true }], "/0/twice: received true; expected only do"]],
    ["no list of events", [{ do: "back" }, "expected a JSON array of events"]],
  ] as [string, [unknown, string]][])("%s is unusable, and it is said where and why", async (_, [events, says]) => {
    const { code, out, err } = await handy(["play", demo, "--events", file("bad.json", events)]);
    expect([code, out]).toEqual([2, ""]);
    expect(err).toMatch(says);
  });
  test.each([
    ["--view", "wide"],
    ["--on", "watch"],
    ["--fact", "x=1"],
    ["--url", "/plots/%E0%A4%A"],
    ["--url", "javascript:alert(1)"],
  ])("%s %s is unusable", async (option, value) => {
    const { code, err } = await handy(["play", demo, option, value]);
    expect(code).toBe(2);
    expect(err).toMatch(option);
  });
});

describe("motion", () => {
  test("measures a motion and says where its layers are, at the quarters or at given times", async () => {
    const { code, out } = await handy(["motion", demo, "dissolve"]);
    const { measure, samples } = JSON.parse(out);
    expect(code).toBe(0);
    expect(measure).toEqual({
      ms: 210,
      settle: 210,
      overshoot: 0,
      peakSpeed: 4.761905,
      bare: { share: 0.25, at: 105 },
    });
    expect(samples.map(({ t, incoming, outgoing }: any) => [t, incoming.opacity, outgoing.opacity])).toEqual([
      [0, 0, 1],
      [52.5, 0.25, 0.75],
      [105, 0.5, 0.5],
      [157.5, 0.75, 0.25],
      [210, 1, 0],
    ]);
    const there = await handy(["motion", demo, "sideBySide", "--toward", "back", "--at", "0,2000"]);
    expect(JSON.parse(there.out).samples).toEqual([
      { t: 0, incoming: expect.objectContaining({ x: -100 }), outgoing: expect.objectContaining({ x: 0 }) },
      { t: 2000, incoming: expect.objectContaining({ x: 0 }), outgoing: expect.objectContaining({ x: 100 }) },
    ]);
  });
  test("measures a motion of the frame in place of the built-in one of the same name", async () => {
    const own = changed((frame) => {
      frame.motions = {
        ...frame.motions,
        dissolve: {
          name: "Ours",
          forward: {
            incoming: [{ property: "x", from: 100, to: 0, ms: 80, ease: "linear" }],
            outgoing: [],
            above: "incoming",
          },
          back: "mirror",
        },
      };
    });
    const { out } = await handy(["motion", "-", "dissolve", "--at", "40"], own);
    expect(JSON.parse(out)).toMatchObject({ measure: { ms: 80, peakSpeed: 12.5 }, samples: [{ incoming: { x: 50 } }] });
  });
  test.each([
    ["of no motion", ["nowhere"], /expected one of the motions .*slip/],
    ["of a way that is none", ["slip", "--toward", "up"], /expected forward or back/],
    ["of times that are none", ["slip", "--at", "0,soon"], /received "soon"; expected times in ms/],
  ])("says what is wrong %s", async (_, args, says) => {
    const { code, out, err } = await handy(["motion", demo, ...args]);
    expect([code, out]).toEqual([2, ""]);
    expect(err).toMatch(says);
  });
});

describe("link", () => {
  test("prints the screen, its params and what it is laid on, needs taken as met", async () => {
    const { code, out } = await handy(["link", demo, "allotment://plots/3/beds/2?from=post"]);
    expect(code).toBe(0);
    expect(JSON.parse(out)).toEqual({
      screen: "bed",
      params: { plot: "3", bed: "2" },
      laid: ["plots", "plot", "bed"],
    });
  });
  test("says when no screen has the address", async () => {
    const { code, out } = await handy(["link", demo, "/compost"]);
    expect([code, JSON.parse(out)]).toEqual([1, { lost: true }]);
  });
  test.each([
    ["/a/%E0%A4%A", "is no valid percent-encoding"],
    ["https://elsewhere.example/plots", "is no host of this app"],
    ["plots", "expected allotment://"],
  ])("%s is unusable", async (url, says) => {
    const { code, out, err } = await handy(["link", demo, url]);
    expect([code, out]).toEqual([2, ""]);
    expect(err).toMatch(says);
  });
  test("knows the targets", async () => {
    expect(await handy(["link", demo, "/plots", "--on", "watch"])).toMatchObject({ code: 2 });
    expect(await handy(["link", demo, "/plots", "--on", "swipe"])).toMatchObject({ code: 0 });
  });
});

describe("check", () => {
  test("finds nothing in the demo", async () => {
    expect(await handy(["check", demo])).toMatchObject({ code: 0, out: expect.stringContaining("no faults") });
  });
  test("names every fault of a file with faults, as text and as JSON", async () => {
    const bad = changed((frame) => {
      frame.zoo = 1;
      frame.nodes.task.actions[0].do.to = "nowhere";
    });
    const asText = await handy(["check", "-"], bad);
    expect(asText).toMatchObject({ code: 1, err: "" });
    expect(asText.out.trim().split("\n")).toEqual([
      expect.stringContaining("-: /zoo: received"),
      expect.stringContaining("-: /nodes/task/actions/0/do/to: received"),
    ]);
    const asJson = await handy(["check", "-", "--format", "json"], bad);
    expect(asJson.code).toBe(1);
    expect(JSON.parse(asJson.out).faults.map((fault: any) => fault.pointer)).toEqual([
      "/zoo",
      "/nodes/task/actions/0/do/to",
    ]);
  });
  test("tells what a person would suffer, and with a walk what is proved", async () => {
    const stuck = changed((frame) => {
      frame.targets[1].edgeSwipe = false;
      frame.nodes.photo.header = "off";
      delete frame.nodes.photo.actions;
      frame.nodes.late = { kind: "screen" };
      frame.quiet = [{ rule: "loose", node: "late", why: "Comes next." }];
    });
    const looked = await handy(["check", "-"], stuck);
    expect(looked).toMatchObject({ code: 0, err: "" });
    expect(looked.out).toContain("-: silenced loose [late]: late stands in no container. Comes next.");
    expect(looked.out).toContain("-: no faults, no doubts, 1 hint, 1 silenced.");
    const walked = await handy(["check", "-", "--walk"], stuck);
    expect(walked.code).toBe(1);
    expect(walked.out).toContain("-: fault trap [photo]: Back leads nowhere from Photo of plot. on Swipe-back phone");
    expect(walked.out).toMatch(/-: holds in \d+ states: Never two strips/);
    expect(walked.out).toMatch(/-: broken \d+ times: No trap/);
    const json = JSON.parse((await handy(["check", "-", "--walk", "--format", "json"], stuck)).out);
    expect(json.findings.find(({ code }: any) => code === "trap")).toMatchObject({
      severity: "fault",
      node: "photo",
      where: [
        { target: "swipe", band: "hand" },
        { target: "swipe", band: "lap" },
        { target: "swipe", band: "desk" },
      ],
      mends: [{ label: "Give it a strip" }, { label: "Add a close" }],
    });
    expect(json.walks.map(({ walk }: any) => walk.bounds.isFull)).not.toContain(true);
  });
  test("ends with 1 from the severity it is told to, and says where it stopped walking", async () => {
    expect((await handy(["check", demo, "--walk", "--fail-on", "doubt"])).code).toBe(1);
    const few = await handy(["check", demo, "--walk", "--max-states", "50"]);
    expect(few).toMatchObject({ code: 0, out: expect.stringContaining("there are more states than were walked") });
    expect((await handy(["check", demo, "--max-states", "none"])).code).toBe(2);
  });
  test.each([
    ["malformed JSON", '{"a": oops}', "line 1, column 7"],
    ["nothing", "", "it is empty"],
    ["5 MB", `"${"x".repeat(5 * 1024 * 1024)}"`, "expected at most 4 MB"],
    ["another JSON", "7", "expected an object"],
    ["lists in lists that never end", "[".repeat(100_000), "over 100 deep"],
  ])("%s is unusable", async (_, input, says) => {
    const { code, out, err } = await handy(["check", "-"], input);
    expect(code).toBe(2);
    expect(out + err).toMatch(says);
  });
  test("finds what a parser would mend without a word", async () => {
    const twice = await handy(
      ["check", "-"],
      readFileSync(demo, "utf8").replace('"photo": {', '"photo": {}, "photo": {'),
    );
    expect(twice).toMatchObject({ code: 1, out: expect.stringContaining("-: /nodes/photo: received the key") });
    const latin = file("latin.json", "");
    writeFileSync(latin, Buffer.from(readFileSync(demo, "utf8").replace("Allotment", "Caf\xe9"), "latin1"));
    expect(await handy(["check", latin])).toMatchObject({ code: 1, out: expect.stringContaining("no UTF-8") });
  });
  test("a file that is not there is unusable", async () => {
    expect(await handy(["check", join(kept, "nowhere.json")])).toMatchObject({
      code: 2,
      err: expect.stringContaining("there is no such file"),
    });
  });
});

describe("start", () => {
  const data = join(kept, "data");
  const start = (...args: string[]) => started(["start", "--port", "0", ...args]);
  test("with a file that cannot be read ends at once, before a data folder is made", async () => {
    const missing = join(kept, "missing.json");
    const { code, out, err } = await start(missing, "--data", data);
    expect([code, out, err]).toEqual([2, "", `${missing} cannot be opened: there is no such file.\n`]);
    const torn = await start(file("torn.json", '{"nodes":'), "--data", data);
    expect([torn.code, torn.err.trim().split("\n").length]).toEqual([2, 1]);
    expect(existsSync(join(data, "db"))).toBe(false);
  });
  test.each([
    ["a file", () => file("none", "x"), "is no folder"],
    ["a folder with other things in it", () => root, "it is no data folder. Nothing was changed"],
    ["a folder that cannot be made", () => "/proc/nothing/here", "cannot be made"],
    [
      "another program's database",
      () => (mkdirSync(join(kept, "foreign", "db"), { recursive: true }), join(kept, "foreign")),
      "is no database. Nothing was changed",
    ],
  ])("on %s is one line that says so", async (_, place, says) => {
    const { code, out, err } = await start("--data", place());
    expect([code, out]).toEqual([2, ""]);
    expect(err.trim().split("\n")).toEqual([expect.stringContaining(says)]);
  });
});

describe("as a program", () => {
  test("prints what the commands print, and ends with what they end with", async () => {
    const link = ["link", demo, "/plots/3"];
    expect(await started(link)).toEqual(await handy(link));
    const fromInput = ["check", "-", "--format", "json"];
    expect(await started(fromInput, "7")).toEqual({ ...(await handy(fromInput, "7")), code: 2 });
    expect((await started(["link", demo, "/compost"])).code).toBe(1);
    expect((await started(["--help"])).code).toBe(0);
  });
  test("tells in a line, never by a stack, what it cannot write to", async () => {
    const { code, err } = await started(["play", demo], "", "/dev/full");
    expect(code).toBe(2);
    expect(err.trim().split("\n")).toEqual([expect.stringMatching("Standard output cannot be written: ENOSPC")]);
  });
});

test("an unknown command or option exits with 2, and shows the help", async () => {
  expect(await handy(["fly"])).toMatchObject({ code: 2, out: "", err: expect.stringContaining("Usage: handy-frame") });
  expect(await handy(["check", demo, "--format", "xml"])).toMatchObject({
    code: 2,
    err: expect.stringContaining("xml"),
  });
  expect((await started(["start", "--port", "zoo"])).code).toBe(2);
});
