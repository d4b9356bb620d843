import { called } from "../frame/names.js";
import type { Fault } from "../frame/fault.js";
import { segmentsOf } from "../frame/pointer.js";
import type { Frame } from "../frame/types.js";

/** What is wrong, for who works on the plan: what a person calls the place first, where it stands in the file behind. */
export const faultSays = (frame: Frame, { pointer, received, expected, remedy }: Fault): string => {
  const [table, id] = segmentsOf(pointer);
  const where = table === "nodes" && id !== undefined && Object.hasOwn(frame.nodes, id) ? `${called(frame, id)}: ` : "";
  return `${where}received ${received}; expected ${expected}. ${remedy}${pointer && ` (${pointer})`}`;
};
