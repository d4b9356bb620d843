import { useRef } from "react";
import { type Id, nodeAt, plainName } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import type { Chosen } from "../../../app/place.js";
import { addWay, type Planned, retitle } from "./edits.js";
import type { Renaming } from "./use-renaming.js";

export interface Adding {
  /** Makes something new, which is named at once; from the screen `from` it is led to as soon as it has its name. */
  add: (planned: Planned, from: Id | null) => void;
  /** Gives what is being renamed its title. */
  rename: (chosen: Chosen, title: string) => void;
  /** It has its name. */
  named: () => void;
}

/** Adding something: it is made, named, and led to, each a change of its own, so that one undo takes back the last alone. */
export const useAdding = (make: (planned: Planned | null) => boolean, renaming: Renaming): Adding => {
  const { editing } = useOpenFrame();
  const lead = useRef<{ from: Id; to: Id } | null>(null);
  return {
    add: (planned, from) => {
      const isMade = make(planned);
      const leads = from !== null && nodeAt(editing.get().frame, from).kind === "screen";
      lead.current = isMade && leads && planned.choose ? { from, to: planned.choose.id } : null;
      renaming.set(isMade);
    },
    rename: (chosen, title) => {
      const planned = retitle(editing.get().frame, chosen, title);
      if (!make(planned) || !planned.choose || lead.current?.to !== chosen.id) return;
      // a new node gets its id from its first title
      lead.current = { ...lead.current, to: planned.choose.id };
    },
    named: () => {
      renaming.done();
      const led = lead.current;
      lead.current = null;
      const { frame } = editing.get();
      if (!led || !Object.hasOwn(frame.nodes, led.to) || nodeAt(frame, led.from).kind !== "screen") return;
      if (!make(addWay(frame, led.from, led.to))) return;
      const [from, to] = [plainName(frame, led.from), plainName(frame, led.to)];
      editing.say("plain", `${from} leads to ${to} now, by an action called so. Undo takes back that way alone.`);
    },
  };
};
