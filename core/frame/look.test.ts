import fc from "fast-check";
import { anyVaried, bands, eachView } from "../testing/varied.js";
import { frameOf, hub, screen, stack } from "../testing/frames.js";
import { equal } from "./equal.js";
import { partsOf } from "./forms.js";
import { ownValue } from "./held.js";
import { lensOf, lookOf } from "./look.js";
import type { Variation } from "./parts.js";
import { properties, propertyKeys, propertyOf, type VaryingKey, varyingKeys } from "./properties.js";
import { isRaw } from "./raw.js";
import type { Node } from "./types.js";
import { viewOf } from "./view.js";
import type { ViewClass } from "./views.js";

// A second reading of what a file says by view, written from the format's words and as slowly as they are.

/** Whether an entry applies: every condition that it has holds. */
const applies = ({ on, from, to, short }: Variation, { target, band, short: low }: ViewClass): boolean => {
  const conditions = [
    on === undefined || on.some((id) => id === target),
    from === undefined || bands.slice(0, band + 1).includes(from as never),
    to === undefined || bands.slice(band).includes(to as never),
    short === undefined || low,
  ];
  return conditions.every(Boolean);
};

/** What a property, or a part of it, is by the words of the format: the last entry that applies and sets it, else the node's own, else the default. */
const heldOf = (node: Node, at: ViewClass, key: VaryingKey, part?: string): unknown => {
  const { kinds, fallback } = propertyOf(key);
  const among = (value: unknown): unknown => (part === undefined ? value : isRaw(value) ? value[part] : undefined);
  const said = (node.vary ?? []).filter((entry) => applies(entry, at)).map(({ set }) => among(set[key]));
  const own = kinds.includes(node.kind) ? among(ownValue(node, key)) : undefined;
  return said.findLast((value) => value !== undefined) ?? (said.includes(null) ? undefined : own) ?? among(fallback);
};

test("a node looks in every view as a second, slow reading of what its frame says has it", () => {
  fc.assert(
    fc.property(anyVaried(), (frame) => {
      const wrong: unknown[] = [];
      const hold = (is: unknown, held: unknown, ...where: unknown[]) => {
        if (!equal(is, held)) wrong.push([...where, is, held]);
      };
      for (const [id, node] of Object.entries(frame.nodes))
        for (const at of eachView) {
          const look: Readonly<Record<string, unknown>> = lookOf(frame, id, at);
          for (const key of varyingKeys) {
            const parts = Object.keys(partsOf(propertyOf(key).form) ?? {});
            if (key === "split")
              hold(look.split, node.kind === "pair" && (heldOf(node, at, key) ?? at.band > 0), id, at);
            else if (parts.length === 0) hold(look[key], heldOf(node, at, key), id, at, key);
            for (const part of parts)
              hold(isRaw(look[key]) ? look[key][part] : null, heldOf(node, at, key, part), id, at, key, part);
          }
        }
      expect(wrong.slice(0, 1)).toEqual([]);
    }),
    { numRuns: 100 },
  );
});

describe("a look", () => {
  const frame = frameOf({ app: stack(["main"]), main: hub(["a"], { strip: true }), a: screen({ header: "off" }) });
  const { look } = lensOf(frame, viewOf(frame));
  test("has every field of the table that varies filled, whatever the node is", () => {
    for (const id of ["app", "main", "a", "nothing"])
      expect(Object.keys(look(id)).sort()).toEqual([...varyingKeys].sort());
    expect(look("main")).toMatchObject({ strip: true, face: "bar", floating: false, limit: properties.limit.fallback });
    expect(look("a")).toMatchObject({ header: "off", face: "bar", split: false });
  });
  test("of what is gone, or is called as a part of every object is, is that of a plain screen", () => {
    for (const id of ["nothing", "constructor", "__proto__"]) expect(look(id)).toEqual({ ...look("a"), header: null });
  });
  test("is worked out once for all views that show it alike", () => {
    const [one, two] = [viewOf(frame, { width: 400 }), viewOf(frame, { width: 410, height: 500 })];
    expect(lensOf(frame, one).look("main")).toBe(lensOf(frame, two).look("main"));
    expect(lensOf(frame, viewOf(frame, { width: 700 })).look("main")).not.toBe(lensOf(frame, one).look("main"));
  });
});

describe("the table of properties", () => {
  test("gives each key to some kind of node, and its default is a value that the form takes", () => {
    for (const key of propertyKeys) {
      const { kinds, form, fallback } = propertyOf(key);
      expect([key, kinds.length > 0]).toEqual([key, true]);
      if (fallback === null) continue;
      if (form.sort === "choice") expect(Object.keys(form.choices)).toContain(fallback);
      if (form.sort === "flag") expect(typeof fallback).toBe("boolean");
      if (form.sort === "whole" || form.sort === "number") expect(fallback).toBeGreaterThanOrEqual(form.least);
    }
  });
});
