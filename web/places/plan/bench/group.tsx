import type { ReactNode } from "react";
import type { NodeKey, Slot } from "../../../../core/index.js";
import { SetMark } from "../../../parts/set-mark.js";
import { ViewMark } from "../../../parts/view-mark.js";

/** Fields side by side in as many columns as there is room for: none is parted, none is cut off. */
export function Fields({ children }: { children: ReactNode }) {
  return <div className="columns-[20rem] gap-x-7">{children}</div>;
}

/** What belongs together, and stays so. */
export function Block({ children, label }: { children: ReactNode; label?: string }) {
  return (
    <div
      {...(label !== undefined && { role: "group", "aria-label": label })}
      className="flex break-inside-avoid flex-col gap-1 pb-2.5"
    >
      {children}
    </div>
  );
}

interface NameProps {
  label: ReactNode;
  /** The property of which it is marked whether it is set here. */
  of?: NodeKey | undefined;
}

/** The name of a property, over what it is set with. */
export function Name({ label, of }: NameProps) {
  return (
    <span className="flex min-h-5 items-center gap-0.5 text-ink-2">
      {label}
      {of && <SetMark of={of} />}
    </span>
  );
}

interface LineProps {
  label: string;
  of?: NodeKey;
  /** What of it may differ by view, where no setting says so. */
  view?: Slot;
  /** What it causes now. */
  says?: string | undefined;
  /** The name stands over the field, which has all the width: for what may be long. */
  long?: boolean;
  children: ReactNode;
}

/** A property with its name before its field, and what it causes under it. */
export function Line({ label, of, view, says, long = false, children }: LineProps) {
  const marks = (
    <>
      {view !== undefined && <ViewMark of={view} name={label} />}
      {of && <SetMark of={of} />}
    </>
  );
  return (
    <Block>
      <label className={long ? "flex flex-col gap-0.5" : "grid grid-cols-[8.5rem_minmax(0,1fr)] items-center gap-x-2"}>
        <span className="flex min-h-6 items-center gap-0.5 text-ink-2">
          {label}
          {marks}
        </span>
        <span className="flex min-h-7 min-w-0 flex-wrap items-center gap-x-1.5 gap-y-1">{children}</span>
      </label>
      <Says>{says}</Says>
    </Block>
  );
}

/** What a property causes now, under it. */
export function Says({ children }: { children: string | undefined }) {
  return children ? <p className="text-[13px] leading-[17px] text-ink-2">{children}</p> : null;
}
