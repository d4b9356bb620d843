import { useMemo, useState } from "react";
import {
  applyEdit,
  applySoundly,
  type ChangePart,
  type Edit,
  editBetween,
  type EditResult,
  type Fault,
  faultSays,
  type Frame,
  putTogether,
  takenApart,
} from "../../core/index.js";
import type { Aside } from "../data/aside.js";
import { framePath } from "../data/frame-path.js";
import { newKey } from "../data/key.js";
import { ProblemError } from "../data/problem.js";
import { request } from "../data/request.js";
import { presentEdit } from "../data/waiting.js";
import { Button } from "../parts/button.js";
import { Check } from "../parts/check.js";
import { PanelDialog } from "../parts/panel-dialog.js";
import { TextLine } from "../parts/text-line.js";
import { partName, partNow, partPointer, partText, withText } from "./mended-part.js";
import { useEditing, useOpenFrame } from "./open-frame.js";

export interface AsideMendProps {
  aside: Aside;
  onClose: () => void;
}

/** Looks at an edit here; null where it has a form that cannot be: then the server says what is wrong with it. */
const looked = (look: typeof applyEdit, frame: Frame, edit: Edit): EditResult | null => {
  try {
    return look(frame, edit);
  } catch {
    return null;
  }
};

/** A change that was set aside, part by part: each can be written anew or left out, and the rest is tried on the server before it is made. */
export default function AsideMend({ aside, onClose }: AsideMendProps) {
  const frame = useEditing((edited) => edited.frame);
  // also what is not sound can be mended, as long as it can be made at all
  const made = useMemo(() => looked(applyEdit, frame, presentEdit(frame, aside)), [frame, aside]);
  return (
    <PanelDialog title={aside.label} says="could not be stored" open onClose={onClose}>
      <p>{aside.why}</p>
      {made?.ok ? (
        <Parts frame={frame} aside={aside} parts={takenApart(editBetween(frame, made.frame))} onClose={onClose} />
      ) : (
        <p className="mt-2">
          <b>The frame has gone on since, and it cannot be made any more</b>
          {made ? `: ${made.faults.map((fault) => faultSays(frame, fault)).join(" ")}` : "."} It can be copied as text,
          or let go.
        </p>
      )}
    </PanelDialog>
  );
}

interface PartsProps extends AsideMendProps {
  frame: Frame;
  parts: readonly ChangePart[];
}

/** What of a change is made, and what was said of it: here at once, and by the server once it was tried there. */
const useMended = ({ frame, aside, parts, onClose }: PartsProps) => {
  const { editing } = useOpenFrame();
  const id = useEditing((edited) => edited.id);
  const [written, setWritten] = useState<ReadonlyMap<string, string>>(new Map());
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const [told, setTold] = useState<readonly Fault[]>([]);
  const [refused, setRefused] = useState<string | null>(null);
  const shown = parts.map((part) => {
    const pointer = partPointer(part);
    const text = written.get(pointer) ?? partText(part);
    return { part, pointer, text, made: text === null ? part : withText(part, text), isLeftOut: without.has(pointer) };
  });
  const kept = shown.filter(({ isLeftOut }) => !isLeftOut);
  const edit = putTogether(kept.flatMap(({ made }) => made ?? []));
  const here = looked(applySoundly, frame, edit);
  const mayMake = kept.length > 0 && here?.ok !== false && kept.every(({ made }) => made !== null);
  const afresh = () => (setTold([]), setRefused(null));
  const write = (pointer: string, text: string) => {
    afresh();
    setWritten(new Map(written).set(pointer, text));
  };
  const leaveOut = (pointer: string, isLeftOut: boolean) => {
    afresh();
    const next = new Set(without);
    next[isLeftOut ? "add" : "delete"](pointer);
    setWithout(next);
  };
  const make = async () => {
    afresh();
    try {
      const edits = [{ key: newKey(), label: aside.label, edit }];
      await request(`${framePath(id)}/edits/tried`, { method: "POST", body: { edits } });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setTold(error.faults);
      return setRefused(error.faults.length ? null : `${error.title}. ${error.detail} What you wrote stays here.`);
    }
    const why = editing.refusalOf(() => editing.makeInstead(aside, edit));
    if (why === null) onClose();
    else setRefused(why);
  };
  const faults = here?.ok === false ? here.faults : told;
  return { shown, isNothing: kept.length === 0, mayMake, write, leaveOut, faults, refused, make };
};

function Parts(props: PartsProps) {
  const { frame, aside, parts, onClose } = props;
  const { editing } = useOpenFrame();
  const { shown, isNothing, mayMake, write, leaveOut, faults, refused, make } = useMended(props);
  const isOf = (pointer: string) => (fault: Fault) => `${fault.pointer}/`.startsWith(`${pointer}/`);
  const others = faults.filter((fault) => !shown.some(({ pointer }) => isOf(pointer)(fault)));
  if (parts.length === 0)
    return (
      <div className="mt-3 flex items-center gap-3">
        <span className="grow">The frame is as it would make it already.</span>
        <Button onClick={() => (editing.letGo(aside), onClose())}>Let it go</Button>
      </div>
    );
  return (
    <>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b border-rule text-left text-ink-2">
            <th className="py-1 font-normal">What it does</th>
            <th className="py-1 pr-3 font-normal">as it is</th>
            <th className="py-1 font-normal">as it would be</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((each) => (
            <PartRow
              key={each.pointer}
              {...each}
              frame={frame}
              says={faults.filter(isOf(each.pointer)).map((fault) => faultSays(frame, fault))}
              onWrite={(text) => write(each.pointer, text)}
              onLeaveOut={(is) => leaveOut(each.pointer, is)}
            />
          ))}
        </tbody>
      </table>
      {others.map((fault, i) => (
        <p key={i} role="alert" className="mt-2 text-clay">
          {faultSays(frame, fault)}
        </p>
      ))}
      {refused !== null && (
        <p role="alert" className="mt-2 text-clay">
          {refused}
        </p>
      )}
      <div className="mt-3 flex items-center justify-end gap-2">
        {isNothing && <span className="text-ink-2">Nothing of it is left to be made.</span>}
        <Button onClick={onClose}>Leave it aside</Button>
        <Button tone="strong" disabled={!mayMake} onClick={() => void make()}>
          Make it so
        </Button>
      </div>
    </>
  );
}

interface PartRowProps {
  frame: Frame;
  part: ChangePart;
  /** What is written for it; null where there is nothing to write. */
  text: string | null;
  /** The part with that; null where it cannot be read. */
  made: ChangePart | null;
  isLeftOut: boolean;
  says: readonly string[];
  onWrite: (text: string) => void;
  onLeaveOut: (isLeftOut: boolean) => void;
}

/** One part: what stands there, what would, and whether it is made. */
function PartRow({ frame, part, text, made, isLeftOut, says, onWrite, onLeaveOut }: PartRowProps) {
  const name = partName(frame, part);
  const wrong = made || isLeftOut ? says : ["This is no JSON: a text stands in quotes, a list in square brackets."];
  return (
    <tr className="border-b border-rule align-top last:border-b-0">
      <td className="py-1.5 pr-3">
        <Check checked={!isLeftOut} onChange={(checked) => onLeaveOut(!checked)}>
          {name}
        </Check>
      </td>
      <td className="mono max-w-52 py-2 pr-3 wrap-anywhere text-ink-2">{partNow(frame, part)}</td>
      <td className={`w-1/2 py-1 ${isLeftOut ? "opacity-50" : ""}`}>
        {text === null ? (
          <span className="mono inline-block py-1">{part.does === "go" ? "gone" : "nothing: the default"}</span>
        ) : (
          <TextLine
            wraps
            aria-label={name}
            className="mono"
            value={text}
            // once the focus is where it goes: what was wrong disappears by it, and a dialog takes the focus that is nowhere then
            onDone={(next) => void setTimeout(() => onWrite(next))}
          />
        )}
        {wrong.map((each) => (
          <span key={each} role="alert" className="block pt-1 text-[12px] leading-4 text-clay">
            ! {each}
          </span>
        ))}
      </td>
    </tr>
  );
}
