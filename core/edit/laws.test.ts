import fc from "fast-check";
import { faultsOf } from "../faults/faults.js";
import { equal } from "../frame/equal.js";
import { keysOf } from "../frame/keys.js";
import { type NodeKey, propertyKeys, propertyOf } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { anyEdit, anyFrame } from "../testing/arbitrary.js";
import { applyEach, applyEdit, applySoundly } from "./apply.js";
import type { Edit } from "./edit.js";
import { nowNamed } from "./renames.js";

/** An edit of the frame's own fields: also such that say what goes without saying, or take a field out. */
const anyFieldEdit = (): fc.Arbitrary<Edit> => {
  const fields: Record<string, unknown[]> = {
    bands: [
      [{ id: "hand", from: 0 }],
      [
        { id: "hand", from: 0 },
        { id: "lap", from: 560 },
        { id: "desk", from: 960 },
      ],
      [
        { id: "small", from: 0 },
        { id: "lap", from: 700 },
      ],
    ],
    short: [300, 480],
    relaunch: ["place", "nothing", "everything"],
    facts: [
      [
        { id: "on", label: "On", lasting: true, launch: false },
        { id: "role", label: "Role", values: ["guest", "member", "host"], launch: "guest" },
      ],
    ],
    address: [
      { running: "open", hosts: [] },
      { scheme: "any", running: "rebuild" },
    ],
    theme: [{ mark: "tooth" }, { mark: "line", sizes: { bar: 60 } }],
  };
  return fc
    .constantFrom(...Object.keys(fields))
    .chain((key) =>
      fc
        .constantFrom(...(fields[key] ?? []), undefined)
        .map((value) => ({ kind: "setFrame", key, ...(value !== undefined && { value }) }) as Edit),
    );
};

/** An edit that sets a property of a node to one of the values of its form, its default among them. */
const anySetting = (): fc.Arbitrary<Edit> =>
  fc
    .tuple(
      fc.constantFrom(...propertyKeys.filter((key) => ["choice", "flag", "text"].includes(propertyOf(key).form.sort))),
      fc.integer({ min: 1, max: 24 }).chain((n) => fc.constantFrom(`s${n}`, `n${n}`)),
      fc.nat(5),
    )
    .map(([key, node, n]) => {
      const value = valuesOf(key)[n];
      return { kind: "set", node, key, ...(value !== undefined && { value }) } as Edit;
    });

const valuesOf = (key: NodeKey): unknown[] => {
  const { form } = propertyOf(key);
  if (form.sort === "choice") return keysOf(form.choices);
  return form.sort === "flag" ? [true, false] : ["", "some"];
};

/** An edit that gives a screen an address that another one has, or adds a screen with it. */
const anyTakenAddress = (): fc.Arbitrary<Edit> =>
  fc.tuple(fc.nat(23), fc.nat(23), fc.boolean()).map(([from, to, isNew]) => {
    const path = `/s${from + 1}`;
    return isNew
      ? ({
          kind: "add",
          nodes: { fresh: { kind: "screen", also: [path] } },
          top: "fresh",
          parent: null,
          after: null,
        } as Edit)
      : ({ kind: "set", node: `s${to + 1}`, key: "path", value: path } as Edit);
  });

const someEdits = (most: number, least = 3) =>
  fc.array(fc.oneof(anyEdit(), anyFieldEdit(), anySetting()), { minLength: least, maxLength: most });

const asWritten = (frame: Frame): string => JSON.stringify(plainFrame(frame));

test("after every edit the frame in memory is the one that would be written, its own fields too", () => {
  let made = 0;
  fc.assert(
    fc.property(anyFrame(), someEdits(14), (frame, edits) => {
      let now = frame;
      for (const edit of edits) {
        const result = applySoundly(now, edit);
        if (!result.ok) continue;
        if (!equal(result.frame, plainFrame(result.frame)))
          throw new Error(`${JSON.stringify(edit)} leaves what goes without saying`);
        made += 1;
        now = result.frame;
      }
    }),
    { numRuns: 300 },
  );
  expect(made).toBeGreaterThan(1000);
});

test("what is looked at of an edit is enough: it is refused where the frame after it has a fault anywhere, and nowhere else", () => {
  const met = { sound: 0, unsound: 0, clashing: 0 };
  const edit = fc.oneof(anyEdit(), anyFieldEdit(), anySetting(), anyTakenAddress(), anyTakenAddress());
  fc.assert(
    fc.property(anyFrame(), fc.array(edit, { minLength: 3, maxLength: 14 }), (frame, edits) => {
      let now = frame;
      for (const each of edits) {
        const [made, sound] = [applyEdit(now, each), applySoundly(now, each)];
        if (!made.ok) continue;
        const faults = faultsOf(made.frame);
        expect([each, sound.ok]).toEqual([each, faults.length === 0]);
        met[sound.ok ? "sound" : "unsound"] += 1;
        if (faults.some(({ received }) => received.includes("matches the same addresses"))) met.clashing += 1;
        if (sound.ok) now = sound.frame;
      }
    }),
    { numRuns: 300 },
  );
  expect(met.sound).toBeGreaterThan(1000);
  expect(met.unsound).toBeGreaterThan(50);
  expect(met.clashing).toBeGreaterThan(20);
});

test("edits that are made on one draft come to what they come to one by one, and what cannot be made leaves no trace", () => {
  let refused = 0;
  fc.assert(
    fc.property(anyFrame(), someEdits(14, 1), fc.boolean(), (frame, edits, sound) => {
      const before = asWritten(frame);
      let now = frame;
      const results = edits.map((edit) => {
        const result = sound ? applySoundly(now, edit) : applyEdit(now, edit);
        if (!result.ok) return result;
        const { frame: next, ...applied } = result;
        now = next;
        return applied;
      });
      refused += results.filter(({ ok }) => !ok).length;
      const together = applyEach(frame, edits, { sound });
      expect(together.results).toEqual(results);
      expect(asWritten(together.frame)).toBe(asWritten(now));
      expect(asWritten(frame)).toBe(before);
    }),
    { numRuns: 300 },
  );
  expect(refused).toBeGreaterThan(500);
});

test("an edit that was looked at before comes to the same, whatever was looked at since, and on another frame to what it comes to there", () => {
  fc.assert(
    fc.property(anyFrame(), anyFrame(), someEdits(4), (frame, other, edits) => {
      const copies = edits.map((edit) => ({ ...edit }));
      const first = edits.map((edit) => applySoundly(frame, edit));
      const there = edits.map((edit) => applySoundly(other, edit));
      edits.forEach((edit, i) => {
        expect(applySoundly(frame, edit)).toEqual(first[i]);
        expect(applySoundly(frame, edit)).toEqual(applySoundly(frame, copies[i]!));
        expect(applySoundly(other, edit)).toEqual(there[i]);
      });
    }),
    { numRuns: 100 },
  );
});

test("what an edit says it renamed is there under the new id, and not under the old one", () => {
  let renamed = 0;
  fc.assert(
    fc.property(anyFrame(), fc.array(anyEdit(), { minLength: 6, maxLength: 14 }), (frame, edits) => {
      let now = frame;
      for (const edit of edits) {
        const result = applySoundly(now, edit);
        if (!result.ok) continue;
        for (const old of Object.keys(result.renamed)) {
          expect(Object.hasOwn(result.frame.nodes, nowNamed(old, result.renamed))).toBe(true);
          expect(Object.hasOwn(result.frame.nodes, old)).toBe(false);
          renamed += 1;
        }
        now = result.frame;
      }
    }),
    { numRuns: 300 },
  );
  expect(renamed).toBeGreaterThan(50);
});
