import type { View } from "../frame/view.js";
import type { EventOf } from "./event.js";

/** What is said of a view: its size and the device's strips at least. */
export type SaidView = Pick<View, "width" | "height" | "insets"> & Partial<View>;

/** The event that makes a device this one: a hinge or holes that it has not are taken away, a target or direction that is not said stays as it is. */
export const eventToView = (view: SaidView): EventOf<"view"> => {
  const { width, height, insets, target, calm, rtl, hinge, cuts } = view;
  return {
    do: "view",
    width,
    height,
    ...(target !== undefined && { target }),
    ...(calm !== undefined && { calm }),
    ...(rtl !== undefined && { rtl }),
    insets,
    hinge: hinge ?? null,
    cuts: cuts ?? [],
  };
};
