import fc from "fast-check";
import { type Slot, slotsOf } from "../frame/cells.js";
import type { Form } from "../frame/forms.js";
import type { Id, Variation } from "../frame/parts.js";
import { optionsOfForm } from "../frame/properties.js";
import type { Frame, Node } from "../frame/types.js";
import type { ViewClass } from "../frame/views.js";
import { anyFrame } from "./arbitrary.js";

// random frames whose nodes say by view whatever may differ by view

/** The bands of these frames, narrowest first. */
export const bands = ["hand", "lap", "desk"] as const;
/** Their targets. */
export const targets = ["key", "swipe", "none"] as const;
/** Every class of their views. */
export const eachView: readonly ViewClass[] = targets.flatMap((target) =>
  bands.flatMap((_, band) => [false, true].map((short) => ({ target, band, short }))),
);

/** Some values that a slot can have. */
export const valuesOf = (slot: Slot, form: Form): readonly unknown[] => {
  const options = optionsOfForm(form).map(({ is }) => is);
  if (options.length) return options;
  if (form.sort === "whole") return [2, 3, 7];
  if (form.sort === "number") return [0.2, 0.5];
  if (slot === "rest") return [[0.5], [0.3, 0.9]];
  if (slot === "heading") return [{ title: "One" }, { title: "Two", icon: "leaf" }];
  return ["one", "two"];
};

const range = fc
  .tuple(fc.nat(2), fc.nat(2), fc.nat(7), fc.subarray([...targets], { minLength: 1 }))
  .map(([a, b, which, on]): Omit<Variation, "set"> => {
    const [first, last] = [Math.min(a, b), Math.max(a, b)];
    const made = {
      ...(which & 1 && { on }),
      ...(which & 2 && { from: bands[first]! }),
      ...(which & 4 && { to: bands[last]! }),
    };
    return Object.keys(made).length ? made : { short: true };
  });

const put = (slot: Slot, value: unknown): Record<string, unknown> => {
  const [key, part] = slot.split(".") as [string, string | undefined];
  return { [key]: part === undefined ? value : { [part]: value } };
};

/** Frames of which every node says something by view, in up to four entries. */
export const anyVaried = (): fc.Arbitrary<Frame> =>
  fc
    .tuple(
      anyFrame(),
      fc.array(fc.array(fc.tuple(range, fc.nat(1000), fc.nat(1000), fc.boolean()), { maxLength: 4 }), {
        minLength: 4,
        maxLength: 8,
      }),
    )
    .map(([frame, dice]) => {
      const nodes = Object.entries(frame.nodes).map(([id, node], i): [Id, Node] => {
        const slots = slotsOf(node.kind);
        const vary = dice[i % dice.length]!.map(([views, which, what, low]): Variation => {
          // few slots, so that entries meet
          const { slot, form } = slots[which % Math.min(7, slots.length)]!;
          const values: readonly unknown[] = [...valuesOf(slot, form), ...(slot.includes(".") ? [null] : [])];
          return { ...views, ...(low && { short: true as const }), set: put(slot, values[what % values.length]) };
        });
        return [id, vary.length ? { ...node, vary } : node];
      });
      return { ...frame, short: 480, nodes: Object.fromEntries(nodes) };
    });
