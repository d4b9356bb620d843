import { colourNames, keysOf, motionChoices, propertyKeys, propertyOf, type Slot } from "../../core/index.js";
import { colourWords } from "./colour-words.js";

/** What of the app as a whole a slot is, in words. */
export const appSlotName = (slot: Slot): string => {
  const [first = "", second = "", third = ""] = slot.split(".");
  if (first === "lost") return "screen for links that lead nowhere";
  if (first === "calm") return "reduced motion";
  const kind = keysOf(motionChoices).find((each) => each === second);
  if (first === "motion" && kind) return `motion of ${motionChoices[kind].label}`;
  if (second === "sizes") return `size of ${third}`;
  const colour = colourNames.find((each) => each === third);
  if (colour) return `${colourWords[colour]}, ${second}`;
  return second === "mark" ? "mark of the chosen tab" : second;
};

/** What of a node a slot is, in words. */
export const nodeSlotName = (slot: Slot): string => {
  const [first = "", second] = slot.split(".");
  const key = propertyKeys.find((each) => each === first);
  const label = (key && propertyOf(key).setting?.label) ?? first;
  return (second ? `${label}, ${second}` : label).toLowerCase();
};
