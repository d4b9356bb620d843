import { type CSSProperties, useState } from "react";
import {
  type Action,
  actionsThere,
  type Face,
  type SeenFace,
  type FixedFrame,
  hubAt,
  type Id,
  lensOf,
  type Look,
  type Mark,
  markOf,
  nameOf,
  type SeenBar,
  type State,
  tabLabel,
  type View,
} from "../../core/index.js";
import { AppIcon } from "../parts/app-icon.js";
import { type FaceShape, FaceTab, toothEdge } from "./face-tab.js";

export interface FaceBarProps {
  frame: FixedFrame;
  state: State;
  view: View;
  bar: SeenBar;
  /** Room for the device's own strips. */
  clear: CSSProperties;
  onTab: (to: Id) => void;
  onExtra: (action: Id) => void;
}

const shapes: Readonly<Record<SeenFace, FaceShape>> = {
  bar: "row",
  top: "row",
  rail: "column",
  panel: "wide",
  drawer: "wide",
};

const hairline = "1px solid color-mix(in srgb, var(--ink) 14%, transparent)";

/** The line where a face meets what it stands beside; at a tooth it is open. */
function Edge({ face, mark, atEnd }: { face: Face; mark: Mark; atEnd: boolean }) {
  const line = mark === "tooth" ? toothEdge : hairline;
  const style: CSSProperties =
    face === "bar"
      ? { insetInline: 0, top: 0, borderTop: line }
      : face === "top"
        ? { insetInline: 0, bottom: 0, borderBottom: line }
        : atEnd
          ? { insetBlock: 0, insetInlineStart: 0, borderInlineStart: line }
          : { insetBlock: 0, insetInlineEnd: 0, borderInlineEnd: line };
  return <span aria-hidden className="pointer-events-none absolute" style={style} />;
}

function Heading({ heading, wide }: { heading: NonNullable<Look["heading"]>; wide: boolean }) {
  return (
    <div
      className={`flex items-center gap-2 py-2 font-bold ${wide ? "px-5 text-[calc(16px*var(--text,1))]" : "justify-center"}`}
      style={{ color: "var(--ink)" }}
    >
      {heading.icon && <AppIcon name={heading.icon} fill size={22} />}
      {wide && <span className="truncate">{heading.title}</span>}
    </div>
  );
}

function Extras({ extras, wide, onExtra }: { extras: readonly Action[]; wide: boolean; onExtra: (id: Id) => void }) {
  return (
    <div className="mt-auto flex flex-col gap-1 px-2 pt-2">
      {extras.map((extra) => (
        <button
          key={extra.id}
          type="button"
          data-action={extra.id}
          className={`flex items-center gap-3 rounded-md px-3 py-2 text-[calc(14px*var(--text,1))] ${wide ? "" : "justify-center"}`}
          style={{ color: "var(--bar-ink)" }}
          aria-label={extra.label}
          onClick={() => onExtra(extra.id)}
        >
          {extra.icon && <AppIcon name={extra.icon} size={20} />}
          {(wide || !extra.icon) && extra.label}
        </button>
      ))}
    </div>
  );
}

/** The tabs that lie behind More. */
function MoreList({ face, tabs, onTab }: { face: Face; tabs: { id: Id; label: string }[]; onTab: (id: Id) => void }) {
  return (
    <div
      className={`absolute z-10 flex w-44 flex-col rounded-lg p-1 shadow-lg ${face === "top" ? "top-full right-2" : "right-2 bottom-full mb-1"}`}
      style={{ background: "var(--surface)" }}
    >
      {tabs.map(({ id, label }) => (
        <button
          key={id}
          type="button"
          data-tab={id}
          className="rounded-md px-3 py-2.5 text-left text-[calc(15px*var(--text,1))]"
          onClick={() => onTab(id)}
        >
          {label}
        </button>
      ))}
    </div>
  );
}

/** A hub's tabs in one of its faces: in a row at the foot or the top, or in a column at the side. */
export function FaceBar({ frame, state, view, bar, clear, onTab, onExtra }: FaceBarProps) {
  const [listed, setListed] = useState(false);
  const lens = lensOf(frame, view);
  const { look, app } = lens;
  const { labels, heading, faceEdge } = look(bar.hub);
  const mark = markOf(app.theme);
  const shape = shapes[bar.face];
  const wide = shape === "wide";
  const column = shape !== "row";
  const common = { shape, mark, labels };
  const labelOf = (id: Id): string => tabLabel(lens, state, bar, id);
  const choose = (id: Id) => (setListed(false), onTab(id));
  const extras = actionsThere(frame, hubAt(frame, bar.hub).extras, view, { facts: state.facts });
  return (
    <div
      role="tablist"
      aria-label={nameOf(frame, bar.hub)}
      className="relative size-full"
      style={{ background: "var(--bar)", ...clear }}
    >
      <Edge face={bar.face} mark={mark} atEnd={faceEdge === "end"} />
      <div className={`relative flex size-full ${column ? "flex-col overflow-auto py-2" : "items-stretch"}`}>
        {column && heading && <Heading heading={heading} wide={wide} />}
        {bar.tabs.map((id) => {
          const { tab } = look(id);
          const active = id === bar.active;
          const icon = (active && tab.activeIcon) || tab.icon;
          const shown = { id, label: labelOf(id), icon, badge: tab.badge, active };
          return <FaceTab key={id} {...common} {...shown} onChoose={() => choose(id)} />;
        })}
        {bar.more.length > 0 && (
          <FaceTab
            {...common}
            id="more"
            label="More"
            icon="dots-three"
            active={bar.more.includes(bar.active)}
            onChoose={() => setListed(!listed)}
          />
        )}
        {column && extras.length > 0 && <Extras extras={extras} wide={wide} onExtra={onExtra} />}
      </div>
      {listed && <MoreList face={bar.face} tabs={bar.more.map((id) => ({ id, label: labelOf(id) }))} onTab={choose} />}
    </div>
  );
}
