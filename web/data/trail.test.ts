import { noReasons } from "./reasons.js";
import fc from "fast-check";
import { nameOf, type Frame, type NavigationEvent, topOf, lensOf, isStuck, step, viewAfter } from "../../core/index.js";
import { back, pick, tab, tabbed, typing } from "../../core/testing/frames.js";
import { type Device, newDevice, withEvent, withEvents } from "./device.js";
import { noTrail, otherBeginnings, pointIn, shownWay, type Trail, trailAfter, trailCarried, wayTo } from "./trail.js";

/** A device with its trail, worked as the page does. */
class Worked {
  trail: Trail = noTrail;

  constructor(
    readonly frame: Frame,
    public device: Device = newDevice(frame),
  ) {
    this.put(device);
  }

  put(device: Device): void {
    const topIn = (state: Device["at"]["state"], view: Device["view"]) =>
      state.outside || isStuck(state) ? "" : topOf(lensOf(this.frame, view), state.root).node;
    this.trail = trailAfter(this.trail, this.device, { frame: this.frame, device, topIn, time: 0 });
    this.device = device;
  }

  send(...events: NavigationEvent[]): this {
    for (const event of events) this.put(withEvent(this.frame, { ...this.device, steps: [] }, event));
    return this;
  }

  goTo(id: number): this {
    const { view, state } = pointIn(this.trail, id)!;
    this.trail = { ...this.trail, at: id };
    this.device = { view, at: { state, moves: [], notes: [], passed: [] }, reasons: noReasons, steps: [] };
    return this;
  }

  get way(): string[] {
    return shownWay(this.trail).map(({ point, isAt, isAhead, others }) =>
      [point.event?.do ?? "began", isAt ? "here" : isAhead ? "ahead" : "", others.length ? `+${others.length}` : ""]
        .filter(Boolean)
        .join(" "),
    );
  }
}

test("every event is a point, with the screen it was done on; what changes nothing leaves no trace", () => {
  const worked = new Worked(tabbed()).send(pick(3), tab("bTab"), { do: "dismiss" });
  expect(worked.way).toEqual(["began", "pick", "tab here"]);
  expect(wayTo(worked.trail, worked.trail.at).map(({ on }) => on)).toEqual(["a", "a", "item"]);
});
test("what is typed without a break is one point", () => {
  const frame = tabbed();
  const worked = new Worked(frame).send(
    tab("bTab"),
    { do: "open", to: "form" },
    typing("a"),
    typing("ab"),
    typing("abc"),
  );
  expect(worked.way).toEqual(["began", "tab", "open", "type here"]);
  expect(nameOf(frame, worked.trail.points.at(-1)!.on)).toBe("form");
});
test("gone back it goes on from there another way; the same again is no other way", () => {
  const worked = new Worked(tabbed()).send(pick(3), back);
  const [first] = worked.trail.points;
  worked.goTo(first!.id);
  expect(worked.way).toEqual(["began here", "pick ahead", "back ahead"]);
  worked.send(pick(3));
  expect(worked.way).toEqual(["began", "pick here", "back ahead"]);
  worked.goTo(first!.id).send(pick(4));
  expect(worked.way).toEqual(["began +1", "pick here"]);
});
test("a device that is put elsewhere begins anew, and the old beginning can be gone back to", () => {
  const worked = new Worked(tabbed()).send(pick(3));
  worked.put(newDevice(worked.frame));
  // the same launch is the same beginning
  expect(worked.way).toEqual(["began here", "pick ahead"]);
  expect(otherBeginnings(worked.trail)).toEqual([]);
  worked.put(newDevice(worked.frame, { width: 900 }));
  expect(worked.way).toEqual(["began here"]);
  expect(otherBeginnings(worked.trail).map(({ view }) => view.width)).toEqual([390]);
  worked.send(pick(4));
  expect(worked.way).toEqual(["began", "pick here"]);
});
test("each point has the view the device had after it, in the middle of a way too", () => {
  const worked = new Worked(tabbed());
  worked.put(
    withEvents(worked.frame, { ...worked.device, steps: [] }, [
      pick(3),
      { do: "view", width: 900, height: 600 },
      tab("bTab"),
    ]),
  );
  expect(wayTo(worked.trail, worked.trail.at).map(({ seenIn, view }) => [seenIn.width, view.width])).toEqual([
    [390, 390],
    [390, 390],
    [390, 900],
    [900, 900],
  ]);
});
test("whatever is done, gone back to and done again, the trail has one beginning, and each point is what its event makes of the one before", () => {
  const events: NavigationEvent[] = [
    pick(3),
    pick(4),
    tab("aTab"),
    tab("bTab"),
    back,
    typing("a"),
    typing("b"),
    { do: "open", to: "form" },
    { do: "scroll", to: 60 },
    { do: "kill" },
    { do: "return" },
    { do: "view", width: 900, height: 600 },
    { do: "view", width: 390, height: 844 },
  ];
  const done = fc.oneof(
    { weight: 4, arbitrary: fc.constantFrom(...events).map((event) => ({ event })) },
    { weight: 1, arbitrary: fc.nat(20).map((back) => ({ back })) },
  );
  fc.assert(
    fc.property(fc.array(done, { maxLength: 30 }), (all) => {
      const frame = tabbed();
      const worked = new Worked(frame);
      for (const each of all) {
        if ("event" in each) worked.send(each.event);
        else worked.goTo(worked.trail.points.at(-1 - (each.back % worked.trail.points.length))!.id);
        const { state, view } = pointIn(worked.trail, worked.trail.at)!;
        expect([state, view]).toEqual([worked.device.at.state, worked.device.view]);
      }
      const { points } = worked.trail;
      expect(points.filter(({ from }) => from === null)).toHaveLength(1);
      for (const { from, event, seenIn, view, state } of points) {
        const before = from === null ? null : pointIn(worked.trail, from);
        if (!before || !event) continue;
        expect(seenIn).toEqual(before.view);
        // of what is typed or scrolled without a break the last alone is kept
        if (event.do === "type" || event.do === "scroll") continue;
        expect(state).toEqual(step(frame, seenIn, before.state, event).state);
        expect(view).toEqual(viewAfter(frame, seenIn, event));
      }
    }),
  );
});
test("an edit of the frame keeps the point the device is at", () => {
  const worked = new Worked(tabbed()).send(pick(3));
  const other = { ...worked.frame, name: "Other" };
  const carried = trailCarried(worked.trail, other, worked.device.at.state);
  expect(pointIn(carried, carried.at)!.frame).toBe(other);
  expect(carried.points).toHaveLength(2);
});
