import { targetsOf } from "./defaults.js";
import type { Views } from "./parts.js";
import type { FixedFrame } from "./types.js";

/** “from lap to desk”, or one band alone; empty for all. */
const bandsSay = ({ from, to }: Views): string => {
  if (from !== undefined && from === to) return `at ${from}`;
  return [from !== undefined && `from ${from}`, to !== undefined && `up to ${to}`].filter(Boolean).join(" ");
};

/** A range of views in words: “on Back-key phone, from lap, when low”; empty for all views. */
export const viewsSay = (frame: FixedFrame, views: Views): string => {
  const names = views.on?.map((id) => targetsOf(frame).find((target) => target.id === id)?.label ?? id);
  return [names && `on ${names.join(" and ")}`, bandsSay(views), views.short && "when low"].filter(Boolean).join(", ");
};
