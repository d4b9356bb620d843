import { type CSSProperties, useState } from "react";
import { labelsOf, type Frame, type HubNode, type Id, isThere, type Mark, markOf, nameOf, type SeenBar, type State, type View } from "../../core/index.js";
import { Icon } from "../parts/icon.js";

export interface FaceBarProps {
  frame: Frame;
  state: State;
  view: View;
  bar: SeenBar;
  onTab: (to: Id) => void;
  onExtra: (action: Id) => void;
}

function Badge({ badge }: { badge: number | "dot" | undefined }) {
  if (badge === undefined) return null;
  const dot = badge === "dot";
  return (
    <span
      className={`absolute -top-1 left-[58%] rounded-full text-center text-[10px] leading-4 font-bold ${dot ? "mt-0.5 size-2.5" : "min-w-4 px-1"}`}
      style={{ background: "var(--badge)", color: "var(--badge-ink)" }}
    >
      {dot ? "" : badge > 99 ? "99+" : badge}
    </span>
  );
}

const hairline = "1px solid color-mix(in srgb, var(--ink) 14%, transparent)";
const toothEdge = "1.5px solid var(--bar-ink)";

/** The line where a face meets what it stands beside; at a tooth it is open. */
function Edge({ face, mark }: { face: SeenBar["face"]; mark: Mark }) {
  const line = mark === "tooth" ? toothEdge : hairline;
  const style: CSSProperties =
    face === "bar"
      ? { insetInline: 0, top: 0, borderTop: line }
      : face === "top"
        ? { insetInline: 0, bottom: 0, borderBottom: line }
        : { insetBlock: 0, insetInlineEnd: 0, borderInlineEnd: line };
  return <span aria-hidden className="pointer-events-none absolute" style={style} />;
}

/** The cell of the chosen tab, by its mark: a tooth takes the page's colour and has its edges at both sides. */
const chosenCell = (mark: Mark, column: boolean): CSSProperties => {
  if (mark === "fill") return { background: "var(--mark)" };
  if (mark !== "tooth") return {};
  const edges = column ? { borderBlock: toothEdge } : { borderInline: toothEdge };
  return { background: "var(--page)", ...edges };
};

/** A hub's tabs in one of its faces: in a row at the foot or the top, or in a column at the side. */
export function FaceBar({ frame, state, view, bar, onTab, onExtra }: FaceBarProps) {
  const [listed, setListed] = useState(false);
  const hub = frame.nodes[bar.hub] as HubNode;
  const mark = markOf(frame);
  const wide = bar.face === "panel" || bar.face === "drawer";
  const column = wide || bar.face === "rail";
  const labels = labelsOf(hub);

  const tab = (
    id: Id | "more",
    label: string,
    icon: string | undefined,
    active: boolean,
    choose: () => void,
    badge?: number | "dot",
  ) => {
    const named = wide || labels === "always" || (labels === "active" && active) || !icon;
    return (
      <button
        key={id}
        type="button"
        data-tab={id}
        role="tab"
        aria-selected={active}
        aria-label={label}
        onClick={choose}
        className={`relative flex shrink-0 items-center ${wide ? "min-h-11 w-full gap-3 px-5 text-[15px]" : `flex-col justify-center gap-0.5 text-[11px] ${column ? "min-h-14 w-full py-1.5" : "h-full grow basis-0"}`} ${active ? "font-bold" : ""}`}
        style={{ color: active ? "var(--bar-active)" : "var(--bar-ink)", ...(active && chosenCell(mark, column)) }}
      >
        <span className={`relative grid place-items-center ${wide ? "size-8" : "h-7 w-13"}`}>
          {icon && <Icon name={icon} fill={active} size={22} />}
          <Badge badge={badge} />
        </span>
        {named && <span className="max-w-full truncate px-1">{label}</span>}
        {active && mark === "line" && (
          <span
            className={`absolute ${column ? "inset-y-2 start-0 w-[3px]" : "inset-x-5 bottom-0 h-[3px]"}`}
            style={{ background: "var(--bar-active)" }}
          />
        )}
      </button>
    );
  };
  const shown = (id: Id) => {
    const { tab: look } = frame.nodes[id]!;
    const active = id === bar.active;
    const icon = (active && look?.activeIcon) || look?.iconOn?.[view.target] || look?.icon;
    return tab(id, look?.label ?? nameOf(frame, id), icon, active, () => (setListed(false), onTab(id)), look?.badge);
  };
  const extras = (hub.extras ?? []).filter((extra) => isThere(frame, extra.only, view, state.facts));
  return (
    <div
      role="tablist"
      aria-label={nameOf(frame, bar.hub)}
      className="relative size-full"
      style={{ background: "var(--bar)" }}
    >
      <Edge face={bar.face} mark={mark} />
      <div className={`relative flex size-full ${column ? "flex-col overflow-auto py-2" : "items-stretch"}`}>
        {column && hub.heading && (
          <div
            className={`flex items-center gap-2 py-2 font-bold ${wide ? "px-5 text-[16px]" : "justify-center"}`}
            style={{ color: "var(--ink)" }}
          >
            {hub.heading.icon && <Icon name={hub.heading.icon} fill size={22} />}
            {wide && <span className="truncate">{hub.heading.title}</span>}
          </div>
        )}
        {bar.tabs.map(shown)}
        {bar.more.length > 0 &&
          tab("more", "More", "dots-three", bar.more.includes(bar.active), () => setListed(!listed))}
        {column && extras.length > 0 && (
          <div className="mt-auto flex flex-col gap-1 px-2 pt-2">
            {extras.map((extra) => (
              <button
                key={extra.id}
                type="button"
                data-action={extra.id}
                className={`flex items-center gap-3 rounded-md px-3 py-2 text-[14px] ${wide ? "" : "justify-center"}`}
                style={{ color: "var(--bar-ink)" }}
                aria-label={extra.label}
                onClick={() => onExtra(extra.id)}
              >
                {extra.icon && <Icon name={extra.icon} size={20} />}
                {(wide || !extra.icon) && extra.label}
              </button>
            ))}
          </div>
        )}
      </div>
      {listed && (
        <div
          className={`absolute z-10 flex w-44 flex-col rounded-lg p-1 shadow-lg ${bar.face === "top" ? "top-full right-2" : "right-2 bottom-full mb-1"}`}
          style={{ background: "var(--surface)" }}
        >
          {bar.more.map((id) => (
            <button
              key={id}
              type="button"
              data-tab={id}
              className="rounded-md px-3 py-2.5 text-left text-[15px]"
              onClick={() => (setListed(false), onTab(id))}
            >
              {frame.nodes[id]!.tab?.label ?? nameOf(frame, id)}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
