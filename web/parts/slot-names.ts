import {
  type ColourName,
  motionChoices,
  type MotionKind,
  propertyKeys,
  propertyOf,
  type Slot,
} from "../../core/index.js";
import { colourWords } from "./colour-words.js";

/** What of the app as a whole a slot is, in words. */
export const appSlotName = (slot: Slot): string => {
  const [first = "", second = "", third = ""] = slot.split(".");
  if (first === "lost") return "screen for links that lead nowhere";
  if (first === "calm") return "reduced motion";
  if (first === "motion") return `motion of ${motionChoices[second as MotionKind].label}`;
  if (second === "sizes") return `size of ${third}`;
  if (third) return `${colourWords[third as ColourName]}, ${second}`;
  return second === "mark" ? "mark of the chosen tab" : second;
};

/** What of a node a slot is, in words. */
export const nodeSlotName = (slot: Slot): string => {
  const [first = "", second] = slot.split(".");
  const key = propertyKeys.find((each) => each === first);
  const label = (key && propertyOf(key).setting?.label) ?? first;
  return (second ? `${label}, ${second}` : label).toLowerCase();
};
