import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import type { Frame, State } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import type { DeviceStep } from "../../data/device.js";

/**
 * So many devices are changed in one turn: what a person does next is never kept waiting for all of them, and as many as
 * can be are laid out and painted together.
 */
const inOneTurn = 8;
const queue: (() => void)[] = [];
const { port1, port2 } = new MessageChannel();
port1.onmessage = () => {
  const works = queue.splice(0, inOneTurn);
  flushSync(() => {
    for (const work of works) work();
  });
  if (queue.length > 0) port2.postMessage(null);
};
const inTurn = (work: () => void): void => {
  queue.push(work);
  if (queue.length === 1) port2.postMessage(null);
};

/** What a device shows: the frame and the state, which belong together. */
export interface Followed {
  frame: Frame;
  state: State;
  /** What led to the state. */
  steps: readonly DeviceStep[];
}

/** The device that a person is at: it changes at once, the others in their turns. */
const acted: { key: string | null } = { key: null };
export const actOn = (key: string): void => {
  acted.key = key;
};

/** What one of several devices shows. */
export const useFollowing = (key: string): Followed => {
  const { editing, live, sizes } = useOpenFrame();
  const read = (): Followed => {
    const { at, steps } = sizes.shownBy(key);
    return { frame: editing.get().frame, state: at.state, steps };
  };
  const [shown, setShown] = useState(read);
  useEffect(() => {
    let isDue = false;
    let isGone = false;
    const take = () => {
      const now = read();
      setShown((was) => (was.frame === now.frame && was.state === now.state ? was : now));
    };
    const changed = () => {
      if (acted.key === key) return take();
      if (isDue) return;
      isDue = true;
      inTurn(() => {
        isDue = false;
        if (!isGone) take();
      });
    };
    const leave = [editing, live, sizes].map((each) => each.subscribe(changed));
    take();
    return () => {
      isGone = true;
      for (const end of leave) end();
    };
  }, [editing, live, sizes, key]);
  return shown;
};
