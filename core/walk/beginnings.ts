import { inFull } from "../frame/app-look.js";
import { isAttached } from "../frame/frame-index.js";
import type { Facts, Id } from "../frame/parts.js";
import { addressFor, patternOf } from "../frame/pattern.js";
import type { FixedFrame } from "../frame/types.js";
import { sampleText } from "./bare.js";
import { factsToBegin } from "./asked-facts.js";

/** How an app begins: launched with these facts, by a link or by itself. */
export interface Beginning {
  facts: Facts;
  url: string | null;
}

/** The address of each screen that has one, every value in it the smallest sample. */
const linksOf = (frame: FixedFrame): string[] =>
  Object.entries(frame.nodes).flatMap(([id, node]) => {
    const pattern = node.kind === "screen" && isAttached(frame, id) ? patternOf(node) : null;
    if (node.kind !== "screen" || !pattern) return [];
    const params: Record<Id, string> = {};
    for (const name of pattern.names) params[name] = sampleText;
    return addressFor(node, params) ?? [];
  });

/** An address that no screen has, but for one that takes all. */
const nowhere = "/no-screen-has-this-address";

/** Whether a frame has a screen for links that lead nowhere, in any view. */
const namesLost = (frame: FixedFrame): boolean => {
  const { address, vary } = inFull(frame);
  return address?.lost !== undefined || (vary ?? []).some(({ set }) => typeof set.lost === "string");
};

/** Every way an app may begin: by itself with the facts of a launch, then with others, then by each address with each of them. */
export const beginningsOf = (frame: FixedFrame): { all: Beginning[]; isCut: boolean } => {
  const { all: facts, isCut } = factsToBegin(frame);
  const links = [...linksOf(frame), ...(namesLost(frame) ? [nowhere] : [])];
  const all = [null, ...links].flatMap((url) => facts.map((each): Beginning => ({ facts: each, url })));
  return { all, isCut };
};
