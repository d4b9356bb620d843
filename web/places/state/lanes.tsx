import { useLayoutEffect, useMemo, useRef } from "react";
import {
  type Frame,
  type Id,
  heldBy,
  optionsOf,
  type Lane,
  type LaneStep,
  lanesOf,
  lensOf,
  nodeAt,
  muchIn,
  opensChoices,
  propertyEdit,
  type State,
  type View,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { usePlace } from "../../app/places.js";
import { AppIcon } from "../../parts/app-icon.js";
import { Icon } from "../../parts/icon.js";
import { Select } from "../../parts/select.js";

export interface LanesProps {
  frame: Frame;
  view: View;
  state: State;
}

const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** More tabs than this that were never shown stand together in one line. */
const mostUnmade = 8;

/** A lane for each tab: what lies in it as steps, with what is on them, and what it keeps when it is left. */
export function Lanes({ frame, view, state }: LanesProps) {
  const lanes = useMemo(() => lanesOf(frame, view, state), [frame, view, state]);
  const unmade = lanes.filter(({ isMade }) => !isMade);
  const folded = unmade.length > mostUnmade ? unmade : [];
  const shown = folded.length > 0 ? lanes.filter(({ isMade }) => isMade) : lanes;
  const { screens, drafts } = useMemo(() => muchIn(state), [state]);
  const tabs = lanes.filter(({ tab }) => tab !== null).length;
  const waits = state.pending ? ", 1 opening waits" : "";
  return (
    <section aria-label="What each tab holds" className="shrink-0">
      <header className="mb-1.5 flex items-baseline gap-3">
        <h2 className="text-[15px] font-bold">What each tab holds</h2>
        <p className="text-ink-2">
          {plural(tabs, "tab")} · {plural(screens, "screen")} alive · {plural(drafts, "draft")}
          {waits}
        </p>
      </header>
      <ol className="overflow-hidden rounded-md border border-ink bg-plate-1">
        {shown.map((lane, i) => (
          <LaneRow
            key={`${lane.hub ?? ""} ${lane.tab ?? ""}`}
            frame={frame}
            view={view}
            lane={lane}
            isFirst={lane.hub !== shown[i - 1]?.hub}
          />
        ))}
        {folded.length > 0 && <NotShown lanes={folded} />}
      </ol>
    </section>
  );
}

/** Tabs that were never shown, together: pressed, one is. */
function NotShown({ lanes }: { lanes: readonly Lane[] }) {
  const { live } = useOpenFrame();
  return (
    <li className="flex max-h-24 flex-wrap items-center gap-x-1 gap-y-0.5 overflow-y-auto px-2 py-1">
      <span className="pr-1 text-ink-2">{lanes.length} not shown yet:</span>
      {lanes.map(({ hub, tab, label }) => (
        <button
          key={`${hub ?? ""} ${tab ?? ""}`}
          type="button"
          className="h-6 rounded-sm border border-dashed border-field px-1.5 hover:border-petrol"
          title="Choose this tab on the device"
          onClick={() => tab !== null && live.send({ do: "open", to: tab })}
        >
          {label}
        </button>
      ))}
    </li>
  );
}

interface LaneRowProps {
  frame: Frame;
  view: View;
  lane: Lane;
  /** The first lane of its hub: what all its tabs keep is set there. */
  isFirst: boolean;
}

function LaneRow({ frame, view, lane, isFirst }: LaneRowProps) {
  const { hub, tab, label, isActive, isMade, steps } = lane;
  const { live } = useOpenFrame();
  const row = useRef<HTMLOListElement>(null);
  // the top of a deep lane is in sight
  useLayoutEffect(() => {
    if (row.current) row.current.scrollLeft = row.current.scrollWidth;
  }, [steps.length]);
  const look = tab === null ? null : lensOf(frame, view).look(tab).tab;
  const icon = (isActive && look?.activeIcon) || look?.icon;
  return (
    <li
      data-lane={tab ?? ""}
      data-active={isActive || undefined}
      className={`flex items-center gap-3 border-b border-rule px-2 py-1 last:border-b-0 ${isActive ? "bg-petrol-soft" : ""}`}
    >
      <button
        type="button"
        disabled={tab === null || isActive}
        title={tab === null || isActive ? label : `${label}: choose it on the device`}
        className={`flex ${steps.length > 0 || isFirst ? "h-11" : "h-8"} w-26 shrink-0 items-center gap-2 rounded-sm border bg-plate-2 px-2 text-left ${isActive ? "border-petrol font-semibold text-petrol" : "border-rule enabled:hover:border-field"}`}
        onClick={() => tab !== null && live.send({ do: "open", to: tab })}
      >
        {icon && <AppIcon name={icon} fill={isActive} size={18} className="shrink-0" />}
        <span className="min-w-0 truncate">{label}</span>
      </button>
      <ol ref={row} className="flex min-w-0 grow items-center overflow-x-auto py-0.5">
        {steps.map((step, i) => (
          <Step key={step.key} step={step} isFirst={i === 0} />
        ))}
        {steps.length === 0 && (
          <li className="rounded-sm border border-dashed border-field px-2.5 py-0.5 text-ink-2">
            {isMade ? "nothing of its own" : "not shown yet"}
          </li>
        )}
      </ol>
      {hub !== null && isFirst && <Keeps frame={frame} view={view} hub={hub} />}
    </li>
  );
}

/** A screen of a lane: its name, how far it is scrolled, what is typed on it. */
function Step({ step, isFirst }: { step: LaneStep; isFirst: boolean }) {
  const [, go] = usePlace();
  const { title, isTop, opens, scroll, drafts, picked, handed, asks, node } = step;
  const said = [
    drafts.length ? `“${drafts.join(" · ").slice(0, 40)}”` : "",
    scroll > 0 ? `scrolled ${Math.round(scroll)}` : "",
    picked === null ? "" : `row ${picked}`,
    handed.length ? `given ${handed.join(", ").slice(0, 24)}` : "",
  ].filter(Boolean);
  const isOver = opens !== "push";
  return (
    <li className="flex shrink-0 items-center">
      {!isFirst && (
        <span aria-hidden className={`h-px w-3 ${isOver ? "border-t border-dashed border-saffron" : "bg-ink"}`} />
      )}
      <button
        type="button"
        data-lane-step={node}
        title={`${isOver ? `${opensChoices[opens].named ?? opens}: ` : ""}${said.join(" · ") || "as it was opened"}. Press to see it on the plan`}
        className={`relative flex h-11 w-26 flex-col justify-center rounded-sm border bg-plate-2 px-2 text-left leading-tight hover:border-petrol ${isTop ? "border-2 border-petrol" : isOver ? "border-saffron" : "border-ink"}`}
        onClick={() => go("plan", { at: node })}
      >
        <span className="flex items-center gap-1 pr-2">
          <b className="min-w-0 truncate font-semibold">{title}</b>
          {asks && (
            <span title="Asks before it is left" className="shrink-0 font-semibold text-petrol">
              ?
            </span>
          )}
        </span>
        <span className="truncate pr-2 text-[12px] text-ink-2">{said[0] ?? "top"}</span>
        {scroll > 0 && (
          <span aria-hidden className="absolute inset-y-1 right-1 w-[3px] bg-rule">
            <span className="absolute h-3 w-full bg-ink" style={{ top: `${Math.min(70, scroll / 12)}%` }} />
          </span>
        )}
        {drafts.length > 0 && <Icon name="pencil-simple" fill size={13} className="absolute right-2 bottom-1" />}
      </button>
    </li>
  );
}

/** What the tabs of a hub keep when they are left, and what choosing the chosen one does: set here. */
function Keeps({ frame, view, hub }: { frame: Frame; view: View; hub: Id }) {
  const { editing } = useOpenFrame();
  const node = nodeAt(frame, hub);
  if (node.kind !== "hub") return null;
  const options = (key: "keep" | "again", word: string) =>
    optionsOf(key).map(({ value, label }) => ({ value, label: `${word} ${label}` }));
  const set = (key: "keep" | "again", value: string) =>
    void editing.edit(propertyEdit(frame, hub, key, value), `${node.title ?? hub}: ${key} ${value}`);
  return (
    <div className="flex w-34 shrink-0 flex-col gap-0.5 text-[12px]">
      <Select
        label="What its tabs keep when they are left"
        className="h-5.5! border-transparent! bg-transparent! font-semibold hover:border-field!"
        value={heldBy(node, "keep")}
        options={options("keep", "keeps")}
        onChange={(value) => set("keep", value)}
      />
      <Select
        label="What choosing the chosen tab does"
        className="h-5.5! border-transparent! bg-transparent! text-ink-2 hover:border-field!"
        value={lensOf(frame, view).look(hub).again}
        options={options("again", "again:")}
        onChange={(value) => set("again", value)}
      />
    </div>
  );
}
