import type { ReactNode } from "react";
import type { NodeKey, Slot } from "../../../../core/index.js";
import { SetMark } from "../../../parts/set-mark.js";
import { ViewMark } from "../../../parts/view-mark.js";

/** One group of properties: its name, what is set, and in one line what that causes. */
export function Group({
  title,
  says,
  of,
  wide = false,
  room = "",
  readOnly = false,
  children,
}: {
  title: string;
  says?: string | undefined;
  /** The property that the group is about: whether it is set here is marked. */
  of?: NodeKey;
  wide?: boolean;
  /** A class for a group that needs more width. */
  room?: string;
  /** Nothing in it can be worked, so it takes the focus itself to be scrolled by keys. */
  readOnly?: boolean;
  children: ReactNode;
}) {
  return (
    <section
      aria-label={title}
      tabIndex={readOnly ? 0 : undefined}
      className={`flex min-h-0 flex-col gap-1.5 overflow-y-auto border-r border-rule px-2.5 py-2 last:border-r-0 ${wide ? "min-w-54 grow-[1.3] basis-54" : "min-w-44 grow basis-44"} ${room}`}
    >
      <h3 className="font-bold">
        {title}
        {of && <SetMark of={of} />} {says && <span className="font-normal text-ink-2">{says}</span>}
      </h3>
      {children}
    </section>
  );
}

interface LineProps {
  label: string;
  /** The property of which it is marked whether it is set here. */
  of?: NodeKey;
  /** What of it may differ by view, where no setting says so. */
  view?: Slot;
  children: ReactNode;
}

/** A property with its name before it. */
export function Line({ label, of, view, children }: LineProps) {
  return (
    <label className="flex min-h-7 shrink-0 flex-wrap items-center gap-x-2 *:min-w-0 [&>input]:flex-1 [&>select]:flex-1">
      <span className="w-14 shrink-0 whitespace-nowrap text-ink-2">{label}</span>
      {children}
      {view !== undefined && <ViewMark of={view} name={label} />}
      {of && <SetMark of={of} />}
    </label>
  );
}

/** What a property causes now, under it. */
export function Says({ children, inset = false }: { children: string | undefined; inset?: boolean }) {
  return children ? <p className={`text-ink-2 ${inset ? "pl-6.5" : ""}`}>{children}</p> : null;
}
