import { useSetSubject } from "./set-subject.js";
import { Suspense, useState } from "react";
import { isSetHere, isVaried, nodeAt, type NodeKey, settings } from "../../core/index.js";
import { returnTo } from "./focus-back.js";
import { later } from "./later.js";

const SetList = later(() => import("./set-list.js"));

/** Whether a property is set here (filled) or only its default holds (open); pressed, it tells where else it is set. */
export function SetMark({ of: key }: { of: NodeKey }) {
  const subject = useSetSubject();
  const [open, setOpen] = useState(false);
  const setting = settings.find((each) => each.key === key);
  if (!subject || !setting) return null;
  const node = nodeAt(subject.frame, subject.id);
  const here = isSetHere(node, key);
  const varied = isVaried(node, key);
  const says = varied ? "differs by view" : here ? "set here" : "by default";
  const mark = (
    <button
      type="button"
      data-set-mark={key}
      data-return={`set ${key}`}
      aria-label={`${setting.label}: ${says}`}
      title={`${says[0]?.toUpperCase()}${says.slice(1)}: where else, and in which views?`}
      aria-expanded={open}
      className="inline-grid size-5 shrink-0 place-items-center rounded-sm align-[-5px] hover:bg-petrol-soft"
      onClick={(event) => {
        event.preventDefault();
        setOpen(true);
      }}
    >
      <span
        className={`size-2 rounded-full border-[1.5px] ${varied ? "border-petrol bg-linear-to-r from-petrol from-50% to-transparent to-50%" : here ? "border-petrol bg-petrol" : "border-ink-2"}`}
      />
    </button>
  );
  if (!open) return mark;
  return (
    <Suspense fallback={mark}>
      <SetList
        subject={subject}
        setting={setting}
        here={here}
        mark={mark}
        onClose={() => (setOpen(false), returnTo(`set ${key}`))}
      />
    </Suspense>
  );
}
