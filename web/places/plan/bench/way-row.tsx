import type { ReactNode } from "react";
import { lights, useIsLit } from "../drawing/lit.js";
import { WayMark } from "./way-mark.js";

/** In one line where there is room for it, else where it stands and what it does under what it is called. */
const columns =
  "grid grid-cols-[24px_minmax(0,1fr)_minmax(0,1fr)_26px_26px] items-center gap-x-2 @3xl:grid-cols-[24px_minmax(0,1.2fr)_8.5rem_minmax(0,1fr)_minmax(0,1.5fr)_26px_26px]";
const under = "@max-3xl:row-start-2";

export interface WayRowProps {
  mark: string | null;
  /** What is pressed. */
  pressed: ReactNode;
  /** Where on the screen it stands. */
  where: ReactNode;
  to: ReactNode;
  /** What that does to what can be seen. */
  says: ReactNode;
  /** Two buttons at its end. */
  more?: ReactNode;
  away?: ReactNode;
  /** Everything else about it, under it. */
  children?: ReactNode;
}

/** One way out, which lights its pegs. */
export function WayRow({ mark, pressed, where, to, says, more, away, children }: WayRowProps) {
  const isLit = useIsLit(mark);
  return (
    <li className={`border-b border-rule py-1 last:border-b-0 ${isLit ? "bg-petrol-soft" : ""}`} {...lights(mark)}>
      <div className={columns}>
        <WayMark mark={mark} />
        <span className="min-w-0">{pressed}</span>
        <span className={`min-w-0 text-ink-2 ${under} @max-3xl:col-start-2`}>{where}</span>
        <span className="min-w-0">{to}</span>
        <span className={`min-w-0 text-ink-2 ${under} @max-3xl:col-span-3 @max-3xl:col-start-3`}>{says}</span>
        <span>{more}</span>
        <span>{away}</span>
      </div>
      {children}
    </li>
  );
}

/** What stands in each column, where they stand in one line. */
export function WayHead() {
  return (
    <p aria-hidden className={`text-[12.5px] text-ink-2 @max-3xl:hidden! ${columns}`}>
      <span className="col-start-2">what is pressed</span>
      <span>where</span>
      <span>leads to</span>
      <span>then</span>
    </p>
  );
}
