import type { View } from "../frame/view.js";
import { type Box, clearOf, sidesOf } from "./box.js";

const most = { width: 340, share: 0.88 };

/** Where the app's question stands, which is as high as it needs to be: the width it has, in the middle of a box of the view, the start side of a hinge that parts it. */
export const questionIn = (view: View): { room: Box; width: number } => {
  const whole = { x: 0, y: 0, width: view.width, height: view.height };
  const sides = sidesOf(whole, view);
  const room = clearOf(sides ? sides[view.rtl ? 1 : 0] : whole, view);
  return { room, width: Math.min(most.width, Math.round(most.share * room.width)) };
};
