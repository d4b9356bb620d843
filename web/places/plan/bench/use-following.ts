import { useDeferredValue, useState } from "react";
import { flushSync } from "react-dom";
import { type Frame, fromKeys } from "../../../../core/index.js";

/** What anything that a person does to a field begins with, before the field has another value: drawn anew then, it would be the old one again. */
const touches = [
  "onPointerDownCapture",
  "onKeyDownCapture",
  "onClickCapture",
  "onBlurCapture",
  "onPasteCapture",
  "onDropCapture",
] as const;

export interface Following {
  /** The frame that follows: as it is, or as it was a moment ago. */
  deferred: Frame;
  /** The frame that fields are drawn from. */
  frame: Frame;
  /** To be put on what holds the fields. */
  touched: Record<(typeof touches)[number], () => void>;
}

/**
 * A frame that follows once what is more urgent is painted. A field is never worked on as it was before the last edit, as
 * what it then wrote would take that edit back: at the first touch of one all of them are drawn as the frame is.
 */
export const useFollowing = (frame: Frame): Following => {
  const deferred = useDeferredValue(frame);
  const [caughtUp, setCaughtUp] = useState<Frame | null>(null);
  const onFields = caughtUp === frame ? frame : deferred;
  const catchUp = () => {
    if (onFields !== frame) flushSync(() => setCaughtUp(frame));
  };
  const touched = fromKeys(touches, () => catchUp);
  return { deferred, frame: onFields, touched };
};
