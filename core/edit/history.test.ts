import fc from "fast-check";
import { equal } from "../frame/equal.js";
import type { Frame } from "../frame/types.js";
import { plainFrame, writeFrame } from "../frame/write.js";
import { anyEdit, anyFrame } from "../testing/arbitrary.js";
import { tabbed } from "../testing/frames.js";
import { applySoundly } from "./apply.js";
import type { Edit } from "./edit.js";
import { carriedOver, fold, type History } from "./history.js";
import { nowNamed, thenRenamed } from "./renames.js";

const empty = (frame: Frame): History => ({ frame: plainFrame(frame), done: [], undone: [] });
const title = (value: string, node = "c"): Edit => ({ kind: "set", node, key: "title", value });
const after = (history: History, event: Parameters<typeof fold>[1]): History => {
  const result = fold(history, event);
  if (!result.ok) throw new Error(result.faults[0]!.received);
  return result.history;
};
const made = (history: History, edit: Edit, label = "Edit") => after(history, { do: "edit", edit, label });
/** What another window does, and what is left to undo here. */
const meeting = (history: History, edit: Edit): History => {
  const result = applySoundly(history.frame, edit);
  if (!result.ok) throw new Error(result.faults[0]!.received);
  return carriedOver({ ...history, frame: result.frame }, result.frame, [edit]);
};

describe("a history", () => {
  test("goes back to the first frame step by step and forward to the last, whatever was done", () => {
    let steps = 0;
    fc.assert(
      fc.property(anyFrame(), fc.array(anyEdit(), { minLength: 4, maxLength: 16 }), (frame, edits) => {
        const frames = [writeFrame(plainFrame(frame))];
        let history = empty(frame);
        for (const edit of edits) {
          const result = fold(history, { do: "edit", edit, label: edit.kind });
          if (!result.ok || result.result.patches.length === 0) continue;
          history = result.history;
          frames.push(writeFrame(history.frame));
          steps += 1;
        }
        for (let n = frames.length - 2; n >= 0; n -= 1) {
          history = after(history, { do: "undo" });
          expect(writeFrame(history.frame)).toBe(frames[n]);
        }
        expect(history.done).toEqual([]);
        for (const later of frames.slice(1)) {
          history = after(history, { do: "redo" });
          expect(writeFrame(history.frame)).toBe(later);
        }
      }),
      { numRuns: 150 },
    );
    expect(steps).toBeGreaterThan(150);
  });
  test("with nothing to undo or redo says so", () => {
    for (const what of ["undo", "redo"] as const) {
      const result = fold(empty(tabbed()), { do: what });
      expect(result.ok ? "" : result.faults[0]!.received).toBe(`${what} with nothing to ${what}`);
    }
  });
  test("that goes on after an undo has nothing left to redo", () => {
    const undone = after(made(empty(tabbed()), title("One")), { do: "undo" });
    expect(undone.undone).toHaveLength(1);
    expect(made(undone, title("Two")).undone).toEqual([]);
  });
  test("has no step for what changes nothing, and what was undone can still be redone after it", () => {
    const undone = after(made(empty(tabbed()), title("One")), { do: "undo" });
    const nothing: Edit = { kind: "set", node: "b", key: "title" };
    expect(made(undone, nothing)).toEqual(undone);
    expect(made(empty(tabbed()), nothing).done).toEqual([]);
  });
  test("is told as what it does: the label of the change, with Undo or Redo before it", () => {
    const history = made(empty(tabbed()), title("One"), "Call it One");
    const undo = fold(history, { do: "undo" });
    if (!undo.ok) throw new Error();
    expect(undo.label).toBe("Undo: Call it One");
    const redo = fold(undo.history, { do: "redo" });
    expect(redo.ok && redo.label).toBe("Redo: Call it One");
  });
});

describe("a history on a frame that others change", () => {
  test("does not take back what another gave a value since", () => {
    const mine = made(made(empty(tabbed()), title("Mine", "b")), title("Mine"));
    const met = meeting(mine, title("Theirs"));
    expect(met.done.map(({ edit }) => edit)).toEqual([title("Mine", "b")]);
    expect(after(met, { do: "undo" }).frame.nodes.c!.title).toBe("Theirs");
  });
  test("offers no undo of what stands on a node that another took out", () => {
    const mine = made(empty(tabbed()), title("Mine", "form"));
    expect(meeting(mine, { kind: "remove", id: "form" }).done).toEqual([]);
  });
  test("keeps what has nothing to do with theirs as it was", () => {
    const mine = made(empty(tabbed()), title("Mine", "b"));
    const met = meeting(mine, title("Theirs"));
    expect(met.done).toEqual(mine.done);
    expect(after(met, { do: "undo" }).frame.nodes.b!.title).toBeUndefined();
  });
  test("whatever both did: an undo that is offered does something, and leaves their values alone", () => {
    let offered = 0;
    const edits = fc.array(anyEdit(), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(anyFrame(), edits, edits, (frame, mine, theirs) => {
        let history = empty(frame);
        for (const edit of mine) {
          const result = fold(history, { do: "edit", edit, label: "Mine" });
          if (result.ok) history = result.history;
        }
        const set: Extract<Edit, { kind: "set" }>[] = [];
        for (const edit of theirs) {
          const result = applySoundly(history.frame, edit);
          if (!result.ok) continue;
          history = carriedOver({ ...history, frame: result.frame }, result.frame, [edit]);
          if (edit.kind === "set") set.push(edit);
        }
        const { frame: both, done } = history;
        if (done.length === 0) return;
        const undone = after(history, { do: "undo" });
        offered += 1;
        expect(equal(undone.frame, both)).toBe(false);
        for (const { node, key, value } of set) {
          const of = (each: Frame) => each.nodes[node] as Record<string, unknown> | undefined;
          const [was, is] = [of(both), of(undone.frame)];
          if (was && is && equal(was[key], value)) expect([node, key, is[key]]).toEqual([node, key, value]);
        }
      }),
      { numRuns: 300 },
    );
    expect(offered).toBeGreaterThan(50);
  });
});

test("names given one after another are followed as one", () => {
  const ids = fc.constantFrom("a", "b", "c", "d");
  const names = fc.dictionary(ids, ids, { maxKeys: 1 });
  fc.assert(
    fc.property(fc.array(names, { maxLength: 6 }), (all) => {
      // a name is given only to what has it not, as an edit would refuse it
      const taken = new Set(["a", "b"]);
      const sound = all.filter((each) =>
        Object.entries(each).every(([from, to]) => {
          if (!taken.has(from) || taken.has(to)) return false;
          taken.delete(from);
          return taken.add(to);
        }),
      );
      const together = sound.reduce(thenRenamed, {});
      for (const id of ["a", "b"])
        expect(nowNamed(id, together)).toBe(sound.reduce((name, each) => nowNamed(name, each), id));
    }),
  );
});
