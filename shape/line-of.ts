import { findNodeAtLocation, parseTree } from "jsonc-parser";
import { segmentsOf } from "../core/frame/pointer.js";

/**
 * The line (from 1) of a JSON text on which what a JSON Pointer names begins; where there is nothing so, that of the nearest
 * thing around it.
 */
export const linesOf = (text: string): ((pointer: string) => number) => {
  const tree = parseTree(text);
  const starts = [0];
  for (let at = text.indexOf("\n"); at >= 0; at = text.indexOf("\n", at + 1)) starts.push(at + 1);
  const lineAt = (offset: number): number => {
    let [low, high] = [0, starts.length];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((starts[middle] ?? 0) <= offset) low = middle;
      else high = middle;
    }
    return low + 1;
  };
  return (pointer) => {
    if (!tree) return 1;
    const path = segmentsOf(pointer).map((segment) => (/^\d+$/.test(segment) ? Number(segment) : segment));
    for (let length = path.length; length > 0; length -= 1) {
      const found = findNodeAtLocation(tree, path.slice(0, length));
      // a member begins where its name stands
      if (found) return lineAt((found.parent?.type === "property" ? found.parent : found).offset);
    }
    return 1;
  };
};
