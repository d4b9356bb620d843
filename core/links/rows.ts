import { addressesOf, type ScreenAddress } from "../address/addresses.js";
import { fillPattern, type Pattern } from "../frame/pattern.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import { needsAbove, type Unmet } from "../frame/needs.js";
import { linkOutcome } from "../explore/outcome.js";

/** An address with what a person asks about it. */
export interface AddressRow extends ScreenAddress {
  /** An address of that pattern. */
  sample: string;
  /** The screens a cold link is laid on, lowest first, without its own. */
  laidOn: Id[];
  needs: Unmet[];
}

/** An address of a pattern, with 3 for every param: a number, so that it fits where digits are asked for. */
export const sampleOf = (pattern: Pattern): string =>
  fillPattern(pattern, Object.fromEntries(pattern.names.map((name) => [name, "3"]))) ?? "/";

/** Every address of the frame, in the order of its screens. */
export const addressRows = (frame: Frame, view: View): AddressRow[] =>
  addressesOf(frame).map((address) => {
    const sample = sampleOf(address.pattern);
    const laid = linkOutcome(frame, view, sample)?.laid ?? [];
    return { ...address, sample, laidOn: laid.slice(0, -1), needs: needsAbove(frame, address.screen) };
  });
