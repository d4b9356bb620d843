import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { pathTo } from "../navigate/entries.js";
import { launch, step, viewAfter } from "../navigate/step.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { back, frameOf, openTo, opening, pick, screen, stack, tab, tabbed, tap } from "../testing/frames.js";
import { type Drawn, drawnOf } from "./drawn.js";
import { goesOn, lead, ledTo, letGo, takenBack } from "./lead.js";
import { isUnderWay, moverAt, nowOf } from "./mover.js";
import { begin, type Led, type Moving, movingAt, nextEnd, still } from "./moving.js";
import { shotOf } from "./shot.js";

/** A device that runs a frame and draws what is under way. */
class Running {
  private at;
  moving: Moving;
  time = 0;
  private view: View;

  constructor(
    private readonly frame: Frame,
    given: Partial<View> = {},
  ) {
    this.view = viewOf(frame, given);
    this.at = launch(frame, this.view);
    this.moving = still(shotOf(frame, this.at.state, this.view));
  }

  send(given: unknown): { before: Moving; led: Led } {
    const event = eventAt(this.frame, this.view, this.at.state, given);
    const next = step(this.frame, this.view, this.at.state, event);
    const view = typeof event === "object" && event !== null ? viewAfter(this.frame, this.view, event) : this.view;
    const moves = next.moves.length > 0 || next.state.drawer !== this.at.state.drawer;
    const led: Led = view !== this.view ? { by: "view" } : moves ? { by: "moves", moves: next.moves } : { by: "cut" };
    const before = this.moving;
    [this.at, this.view] = [next, view];
    this.moving = begin(before, shotOf(this.frame, next.state, view), led, this.time);
    return { before, led };
  }

  wait(ms: number): void {
    this.time += ms;
    this.moving = movingAt(this.moving, this.time);
  }

  get move() {
    return this.at.moves[0]!;
  }

  /** What is under way, by name: where each property of it is, to the thousandth. */
  where(): Record<string, string> {
    return Object.fromEntries(
      [...this.moving.movers.values()].map((mover) => {
        const at = moverAt(mover, this.time);
        const said = Object.keys(mover.paths).map((key) => `${key} ${Math.round(at[key as "x"] * 100) / 100}`);
        return [this.nameOf(mover.id), said.join(" ")];
      }),
    );
  }

  private nameOf(id: string): string {
    const [kind = "", key] = id.split(" ");
    if (kind !== "layer") return kind;
    const entry = pathTo(this.at.state.root, Number(key))?.at(-1);
    return entry?.node ?? this.moving.gone.find(({ layers }) => layers.includes(Number(key)))?.region.node ?? "";
  }
}

const flat = (drawn: readonly Drawn[]): string[] =>
  drawn.flatMap((each) => (each.kind === "part" ? [each.id] : flat(each.inside)));
const layersIn = (drawn: readonly Drawn[]): string[] =>
  drawn.flatMap((each) => (each.kind === "part" ? [] : [each.id, ...layersIn(each.inside)]));

describe("what moves by an event", () => {
  test("a push brings the new screen over the one it covers, with its strip; the bar stands still", () => {
    const on = new Running(tabbed());
    on.send(pick(1));
    expect(on.where()).toEqual({ item: "x 100", a: "x 0" });
    const drawn = drawnOf(on.moving);
    expect(flat(drawn).map((id) => id.split(" ")[0])).toEqual(["content", "header", "content", "header", "bar"]);
    on.wait(2000);
    expect(on.moving.movers.size).toBe(0);
    expect(flat(drawnOf(on.moving)).map((id) => id.split(" ")[0])).toEqual(["content", "header", "bar"]);
  });
  test("the same screen with other params is another layer", () => {
    const on = new Running(tabbed());
    for (const event of [pick(1), tap("deep")]) on.send(event);
    on.wait(2000);
    on.send(tap("item"));
    expect(on.where()).toEqual({ item: "x 100", deep: "x 0" });
  });
  test("Back midway starts from where each layer is, as fast as it goes", () => {
    const on = new Running(tabbed());
    on.send(pick(1));
    on.wait(90);
    const at = on.where();
    on.send(back);
    expect(Object.values(on.where()).sort()).toEqual(Object.values(at).sort());
    on.wait(1500);
    expect(flat(drawnOf(on.moving)).map((id) => id.split(" ")[0])).toEqual(["content", "header", "bar"]);
  });
  test("a bar that a screen hides slides over its edge in the time of the move", () => {
    const on = new Running(tabbed({}, { item: screen({ bars: "hide" }) }));
    on.send(pick(1));
    expect(on.where()).toMatchObject({ bar: "y 0" });
    on.wait(1500);
    on.send(back);
    expect(on.where()).toMatchObject({ bar: "y 100" });
  });
  test("a sheet comes with its scrim, and what lies beneath stands still", () => {
    const on = new Running(tabbed({}, { item: screen({ opens: "sheet" }) }));
    on.send(pick(1));
    expect(on.where()).toMatchObject({ item: "y 100", scrim: "opacity 0" });
    on.wait(1500);
    on.send({ do: "dismiss" });
    expect(on.where()).toMatchObject({ scrim: "opacity 1" });
    expect(flat(drawnOf(on.moving)).map((id) => id.split(" ")[0])).toEqual([
      "content",
      "header",
      "bar",
      "scrim",
      "sheet",
      "content",
    ]);
    on.wait(1500);
    expect(on.moving.gone).toEqual([]);
  });
  test("under a full screen what it covers stays drawn until it is covered", () => {
    const on = new Running(tabbed({}, { item: screen({ opens: "fullscreen" }) }));
    on.send(pick(1));
    expect(flat(drawnOf(on.moving)).map((id) => id.split(" ")[0])).toEqual([
      "content",
      "header",
      "bar",
      "fullscreen",
      "content",
      "header",
    ]);
    on.wait(1500);
    expect(flat(drawnOf(on.moving)).map((id) => id.split(" ")[0])).toEqual(["fullscreen", "content", "header"]);
  });
  test("several moves of one step run side by side", () => {
    const on = new Running(tabbed({}, { item: screen({ opens: "sheet", actions: [opening("deep")] }) }));
    on.send(pick(1));
    on.wait(1500);
    on.send(tap("deep"));
    expect(Object.keys(on.where()).sort()).toEqual(expect.arrayContaining(["deep", "item", "scrim"]));
  });
  test("where reduced motion is asked for the frame's calm motion is all there is", () => {
    const on = new Running(tabbed(), { calm: true });
    on.send(pick(1));
    expect(on.where()).toEqual({ item: "opacity 0", a: "" });
    expect(nextEnd(on.moving)).toBe(70);
  });
  test("a drawer slides over the edge it stands at, and back", () => {
    const on = new Running(tabbed({ face: "drawer", faceEdge: "end" }));
    on.send({ do: "menu" });
    expect(on.where()).toEqual({ drawer: "x 100", scrim: "opacity 0" });
    on.wait(1500);
    on.send(tab("bTab"));
    expect(on.where()).toMatchObject({ drawer: "x 0", scrim: "opacity 1", bTab: "opacity 0" });
  });
  test("in another view nothing moves: a face that is another fades", () => {
    const on = new Running(tabbed({ vary: [{ from: "lap", set: { face: "rail" } }] }));
    on.send({ do: "view", width: 700, height: 800 });
    expect(on.where()).toEqual({ rail: "opacity 0", bar: "opacity 1" });
  });
});

describe("a move that a finger leads", () => {
  const begun = () => {
    const on = new Running(tabbed());
    on.send(pick(1));
    on.wait(2000);
    const before = on.moving;
    on.send(back);
    const { move } = on;
    return { on, move, led: lead(before, on.moving.shot, move, "x", 0), before };
  };
  test("stands where the finger is, and all else at that share of the time", () => {
    const { on, led } = begun();
    expect(led.length).toBe(390);
    on.moving = ledTo(led, 0.25, 0);
    expect(on.where()).toMatchObject({ item: "x 25" });
    expect(nextEnd(on.moving)).toBe(Infinity);
  });
  test("goes on by its place and its speed", () => {
    expect([goesOn(0.4, 0), goesOn(0.4, 1), goesOn(0.8, -3)]).toEqual([false, true, false]);
  });
  test("let go it goes on from where it is, with the finger's speed", () => {
    const { led, move, before } = begun();
    for (const end of ["on", "back"] as const) {
      const at = ledTo(led, 0.4, 2);
      const free = end === "on" ? letGo(at, 50) : begin(at, before.shot, { by: "moves", moves: [takenBack(move)] }, 50);
      for (const mover of at.movers.values())
        for (const property of ["x", "opacity"] as const) {
          const [was, is] = [
            nowOf(mover, property, 50),
            free.movers.get(mover.id) && nowOf(free.movers.get(mover.id)!, property, 50),
          ];
          if (!was || !is) continue;
          expect(is.value).toBeCloseTo(was.value, 9);
          expect(is.speed).toBeCloseTo(was.speed, 6);
        }
      expect(movingAt(free, 5000).gone).toEqual([]);
    }
  });
});

describe("the laws of what is under way", () => {
  const taps = fc.array(fc.tuple(anyEvent(), fc.constantFrom(0, 16, 80, 80, 250, 900)), {
    minLength: 5,
    maxLength: 30,
  });
  const size = fc.constantFrom([390, 844], [700, 900], [1200, 800]);

  test("however events follow each other, nothing jumps, nothing is drawn twice, and at rest it is the state alone", () => {
    fc.assert(
      fc.property(anyFrame(), taps, size, (frame, events, [width, height]) => {
        const on = new Running(frame, { target: "key", width: width!, height: height! });
        for (const [event, ms] of events) {
          const { before, led } = on.send(event);
          const drawn = drawnOf(on.moving);
          const ids = [...flat(drawn), ...layersIn(drawn)];
          expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([]);
          if (led.by === "moves")
            for (const mover of before.movers.values()) {
              const next = on.moving.movers.get(mover.id);
              if (!next || !isUnderWay(mover, on.time)) continue;
              for (const property of ["x", "y", "scale", "opacity", "turn"] as const) {
                const was = nowOf(mover, property, on.time);
                const is = nowOf(next, property, on.time);
                if (was) expect(is?.value).toBeCloseTo(was.value, 6);
                // what stood still may set off as its ease does
                if (was && is && was.speed !== 0) expect(is.speed).toBeCloseTo(was.speed, 4);
              }
            }
          on.wait(ms);
        }
        on.wait(60_000);
        expect(on.moving.movers.size).toBe(0);
        expect(on.moving.gone).toEqual([]);
        const rest = drawnOf(on.moving);
        expect(flat(rest)).toEqual(on.moving.shot.parts.map(({ id }) => id));
      }),
      { numRuns: 150 },
    );
  });
});

test("a frame's own motion is taken where it says one: by its way in, its screen, its container", () => {
  const glide = {
    name: "Glide",
    forward: {
      incoming: [{ property: "y" as const, from: 9, to: 0, ms: 50, ease: "linear" as const }],
      outgoing: [],
      above: "incoming" as const,
    },
    back: "mirror" as const,
  };
  const frame = frameOf(
    { app: stack(["a", "b"]), a: screen({ actions: [opening("b", { motion: "glide" })] }), b: screen({}) },
    { motions: { glide } },
  );
  const on = new Running(frame);
  on.send(tap("b"));
  expect(on.where()).toMatchObject({ b: "y 9" });
  on.wait(2000);
  on.send(back);
  expect(on.where()).toMatchObject({ b: "y 0" });
  on.wait(2000);
  on.send(openTo("b"));
  expect(on.where()).toMatchObject({ b: "x 100" });
});
