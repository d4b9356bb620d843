import type { Leave } from "../frame/parts.js";
import type { Frame, Node, ScreenNode } from "../frame/types.js";
import {
  back,
  frameOf,
  hub,
  list,
  openTo,
  opening,
  run,
  runIn,
  screen,
  stack,
  tab,
  tap,
  typing,
  wait,
} from "../testing/frames.js";
import { explain } from "../observe/explain.js";
import type { NavigationEvent } from "./event.js";
import { refit } from "./refit.js";

const stay: NavigationEvent = { do: "answer", leave: false };
const leave: NavigationEvent = { do: "answer", leave: true };
const fields = (id = "name"): Partial<ScreenNode> => ({
  body: { kind: "form", fields: [{ id, label: "Name", input: "text" }] },
});
const whenDraft: Leave = { when: "draft", ask: "Throw it away?" };

/** Two tabs; in the first a list whose rows open a form that asks, in the second a screen that asks always. */
const asking = (more: Record<string, Node> = {}, extra: Partial<Frame> = {}, asks: Leave = whenDraft): Frame =>
  frameOf(
    {
      app: stack(["home", "door"]),
      home: hub(["bedsTab", "other"]),
      bedsTab: stack(["beds", "bed"]),
      beds: list("bed", "bed", { path: "/beds" }),
      bed: screen({
        path: "/beds/:bed",
        leave: asks,
        ...fields(),
        actions: [
          { id: "save", label: "Save", place: "footer", do: { kind: "close", give: { name: "{draft.name}" } } },
          { id: "drop", label: "Drop", place: "footer", do: { kind: "back" } },
        ],
      }),
      other: screen({ path: "/other" }),
      door: screen(),
      ...more,
    },
    extra,
  );
const drafted: NavigationEvent[] = [{ do: "pick", row: 3 }, typing("Leeks")];

describe("a screen that asks before it is left", () => {
  test("nothing of the event is kept but the question, and all is inert until it is answered", () => {
    const asked = run(asking(), ...drafted, back);
    expect(asked).toMatchObject({ top: "bed", codes: ["asks"], moves: [], back: ["beds", "exit"] });
    expect(asked.asking).toEqual({ node: "bed", ask: "Throw it away?", event: back });
    expect(asked.ui.drafts).toEqual({ name: "Leeks" });
    expect(asked.bars.map(({ inert }) => inert)).toEqual([true]);
    for (const event of [tap("save"), typing("x"), tab("other"), back, { do: "scroll", to: 9 } as const])
      expect(run(asking(), ...drafted, back, event)).toMatchObject({
        top: "bed",
        codes: ["ignored"],
        asking: asked.asking,
      });
  });
  test("yes does what was asked about and says what is lost, no stays as it was", () => {
    expect(run(asking(), ...drafted, back, leave)).toMatchObject({ top: "beds", asking: null, codes: ["draft-lost"] });
    const stayed = run(asking(), ...drafted, back, stay);
    expect(stayed).toMatchObject({ top: "bed", asking: null, codes: [], ui: { drafts: { name: "Leeks" } } });
    expect(run(asking(), stay)).toMatchObject({ codes: ["ignored"], top: "beds" });
  });
  test("it asks of a draft alone when it would be gone: not empty, not given away, not kept by its tab", () => {
    expect(run(asking(), { do: "pick", row: 3 }, back).asking).toBeNull();
    expect(run(asking(), ...drafted, typing(""), back).asking).toBeNull();
    expect(run(asking(), ...drafted, tap("save"))).toMatchObject({ top: "beds", asking: null });
    expect(run(asking(), ...drafted, tab("other"))).toMatchObject({ top: "other", asking: null });
    const fresh = asking({ home: hub(["bedsTab", "other"], { keep: "place" }) });
    expect(run(fresh, ...drafted, tab("other")).asking).toMatchObject({ node: "bed" });
  });
  test("with always it asks whenever its entry would leave the state, with a draft or not", () => {
    const always = asking({}, {}, { when: "always", ask: "Really?" });
    expect(run(always, { do: "pick", row: 3 }, back).asking).toMatchObject({ ask: "Really?" });
    expect(run(always, { do: "pick", row: 3 }, tab("other")).asking).toBeNull();
    expect(run(always, ...drafted, tap("save")).asking).toMatchObject({ event: tap("save") });
  });
  test("what it names as free leaves unasked: an action of its own, or of another screen", () => {
    const own = asking({}, {}, { when: "always", ask: "Really?", free: ["drop"] });
    expect(run(own, ...drafted, tap("drop"))).toMatchObject({ top: "beds", asking: null, codes: ["draft-lost"] });
    expect(run(own, ...drafted, back).asking).not.toBeNull();
    const flow = (free: Leave["free"]): Frame =>
      frameOf({
        app: stack(["a", "flow"]),
        a: screen({ actions: [opening("flow")] }),
        flow: stack(["one", "two"], { opens: "sheet" }),
        one: screen({ ...fields(), leave: { ...whenDraft, ...(free && { free }) }, actions: [opening("two")] }),
        two: screen({ actions: [{ id: "done", label: "Done", place: "body", do: { kind: "close" } }] }),
      });
    const events = [tap("flow"), typing("x"), tap("two"), tap("done")];
    expect(run(flow([{ in: "two", action: "done" }]), ...events)).toMatchObject({ top: "a", asking: null });
    expect(run(flow(undefined), ...events).asking).toMatchObject({ node: "one" });
    expect(run(flow(["done"]), ...events).asking).toMatchObject({ node: "one" });
  });
  test("of several that would be left the top one asks, and one answer holds for all", () => {
    const both = asking(
      {
        bedsTab: stack(["beds", "bed", "note"]),
        bed: screen({ path: "/beds/:bed", leave: whenDraft, ...fields(), actions: [opening("note")] }),
        note: screen({ ...fields(), leave: { when: "draft", ask: "The note too?" } }),
      },
      {},
    );
    const events = [...drafted, tap("note"), typing("y"), tab("bedsTab")];
    expect(run(both, ...events).asking).toMatchObject({ node: "note" });
    expect(run(both, ...events, leave)).toMatchObject({ top: "beds", codes: ["draft-lost", "draft-lost"] });
    const beneath = [...drafted, tap("note"), tab("bedsTab")];
    expect(run(both, ...beneath).asking).toMatchObject({ node: "bed" });
  });
});

describe("while a screen asks", () => {
  const asked = [...drafted, back];
  test("facts, time and views go on beside the question, and a kill or a cold link ends it", () => {
    const frame = asking({}, { facts: [{ id: "on", label: "On" }] });
    const events: NavigationEvent[] = [
      { do: "fact", id: "on", is: true },
      wait(500),
      { do: "view", width: 1200, height: 800 },
    ];
    for (const event of events) expect(run(frame, ...asked, event).asking).toMatchObject({ node: "bed" });
    expect(run(frame, ...asked, { do: "kill" })).toMatchObject({ asking: null, top: "bed" });
    const cold = { do: "link", url: "/other", start: "cold" } as const;
    expect(run(frame, ...asked, cold)).toMatchObject({ asking: null, top: "other" });
    expect(run(frame, ...asked, { ...cold, url: "/nowhere" }).asking).not.toBeNull();
  });
  test("it ends as by no when its entry has left, or another screen is on top", () => {
    const gated = asking(
      { home: hub(["bedsTab", "other"], { needs: [{ fact: "on", is: true, otherwise: "door" }] }) },
      { facts: [{ id: "on", label: "On", launch: true }] },
    );
    expect(run(gated, ...asked, { do: "fact", id: "on", is: false })).toMatchObject({ top: "door", asking: null });
    expect(run(asking(), ...asked, openTo("other"))).toMatchObject({ top: "other", asking: null });
    expect(run(asking(), ...asked, { do: "link", url: "/other", start: "running" })).toMatchObject({ asking: null });
  });
  test("what comes from outside and changes nothing leaves the question, and what is asked about takes its place", () => {
    expect(run(asking(), ...asked, openTo("nothing")).asking).toMatchObject({ event: back });
    expect(run(asking(), ...asked, openTo("beds")).asking).toMatchObject({ event: openTo("beds") });
  });
  test("yes is as in the view it was asked in", () => {
    const pair = frameOf({
      app: stack(["two"]),
      two: { kind: "pair", list: "rows", detail: "row" },
      rows: list("row", "row"),
      row: screen({ ...fields(), leave: whenDraft }),
    });
    const events = [{ do: "pick", row: 2 } as const, typing("x"), back];
    const wide: NavigationEvent = { do: "view", width: 1000, height: 700 };
    // side by side Back would leave the app; the question was about the detail alone
    expect(run(pair, ...events, wide, leave)).toMatchObject({ top: "rows", outside: false });
    expect(runIn(pair, { width: 1000 }, ...events).outside).toBe(true);
  });
  test("an app that was left is back with the question about what opens it", () => {
    const out = asking({
      beds: list("bed", "bed"),
      bed: screen({ ...fields(), leave: whenDraft }),
      bedsTab: stack(["bed"]),
    });
    const left = [typing("x"), back];
    expect(run(out, ...left).outside).toBe(true);
    const clearing = { do: "open", to: "door", how: "clear" } as const;
    expect(run(out, ...left, clearing)).toMatchObject({ outside: false, top: "bed", asking: { node: "bed" } });
  });
  test("an edit of the frame keeps the question while its screen stands and asks", () => {
    const frame = asking();
    const { at, view } = run(frame, ...asked);
    expect(refit(frame, { ...frame, name: "Other" }, view, at.state).asking).toMatchObject({ event: back });
    const { leave: _, ...silent } = frame.nodes.bed as ScreenNode;
    const quiet = { ...frame, nodes: { ...frame.nodes, bed: silent } };
    expect(refit(frame, quiet, view, at.state).asking).toBeNull();
  });
  test("why is told of the question and of each answer", () => {
    const frame = asking();
    const { at, view } = run(frame, ...asked);
    const before = run(frame, ...drafted).at;
    expect(explain(frame, view, before, back, at).join(" ")).toBe(
      "bed asks “Throw it away?” before its draft would be gone: until that is answered all is as it was.",
    );
    expect(explain(frame, view, at, stay, run(frame, ...asked, stay).at)).toEqual([
      "bed stays: what would have left it was not done.",
    ]);
    expect(explain(frame, view, at, leave, run(frame, ...asked, leave).at).join(" ")).toMatch(
      /^bed may be left\. bed was taken off bedsTab: beds lay beneath\. .*it is lost\.$/,
    );
  });
});
