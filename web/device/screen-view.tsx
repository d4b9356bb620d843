import type { CSSProperties } from "react";
import {
  type Action,
  actionsThere,
  cornerOf,
  type DrawnScreen,
  type Facts,
  type FixedFrame,
  lensOf,
  type NavigationEvent,
  screenAt,
  type View,
} from "../../core/index.js";
import { AppIcon } from "../parts/app-icon.js";
import { Icon } from "../parts/icon.js";
import { Body } from "./body.js";
import { useTextScale } from "./text-scale.js";
import { useKeptScroll } from "./use-kept-scroll.js";

export interface ScreenViewProps {
  frame: FixedFrame;
  view: View;
  facts: Facts;
  screen: DrawnScreen;
  /** It is not the top screen, so its events have to name it. */
  named: boolean;
  ghost: boolean;
  style: CSSProperties;
  /** px of the view. */
  width: number;
  height: number;
  /** Room for a sheet's handle, px. */
  grip: number;
  send: (event: NavigationEvent) => void;
  /** Told how to report a scroll that is still on its way, before anything else happens. */
  onSettler: (settle: () => void) => () => void;
}

interface ActionButtonProps {
  action: Action;
  look: "strong" | "line";
  corner: number;
  onTap: (action: Action) => void;
}

function ActionButton({ action, look, corner, onTap }: ActionButtonProps) {
  return (
    <button
      type="button"
      data-action={action.id}
      onClick={() => onTap(action)}
      className="flex min-h-11 items-center justify-center gap-2 px-4 text-[calc(16px*var(--text,1))] font-semibold"
      style={
        look === "strong"
          ? { background: "var(--accent)", color: "var(--page)", borderRadius: corner }
          : { border: "1.5px solid var(--accent)", color: "var(--accent)", borderRadius: corner }
      }
    >
      {action.icon && <AppIcon name={action.icon} size={20} />}
      {action.label}
    </button>
  );
}

/** How high an action that is a row stands, px, while text is as usual. */
const plainRowHeight = 52;

/** An action as a row above the body's own, as settings have them. */
function ActionRow({ action, height, onTap }: Pick<ActionButtonProps, "action" | "onTap"> & { height: number }) {
  return (
    <button
      type="button"
      data-action={action.id}
      onClick={() => onTap(action)}
      className="flex w-full items-center gap-3 px-4 text-start text-[calc(16px*var(--text,1))]"
      style={{ height, borderBottom: "1px solid color-mix(in srgb, var(--ink) 12%, transparent)" }}
    >
      {action.icon && <AppIcon name={action.icon} size={22} />}
      <span className="min-w-0 grow truncate">{action.label}</span>
      <Icon name="caret-right" size={16} className="opacity-50 rtl:-scale-x-100" />
    </button>
  );
}

/** A screen: what it shows, scrolled to where the person left it, and its actions. */
export function ScreenView(props: ScreenViewProps) {
  const { frame, view, facts, screen, named, ghost, style, width, height, grip, send, onSettler } = props;
  const { entry } = screen;
  const rowHeight = plainRowHeight * useTextScale();
  const node = screenAt(frame, entry.node);
  const at = named ? { in: entry.node } : {};
  const { scroller, scrolled, onScroll, settle } = useKeptScroll({ entry, ghost, at, send, onSettler });
  const act = (event: NavigationEvent) => {
    settle();
    send(event);
  };
  const inPlace = (look: ActionButtonProps["look"], ...places: Action["place"][]) =>
    actionsThere(frame, node.actions, view, { facts, params: entry.params }, ...places).map((action) => (
      <ActionButton
        key={action.id}
        action={action}
        look={look}
        corner={cornerOf(lensOf(frame, view).app.theme)}
        onTap={() => act({ do: "tap", action: action.id, ...at })}
      />
    ));
  const footer = inPlace("strong", "footer");
  const inBody = inPlace("line", "body");
  const rows = actionsThere(frame, node.actions, view, { facts, params: entry.params }, "row");
  // without a strip of its own a screen's header actions stand at its top
  const homeless = screen.strip ? [] : inPlace("line", "start", "end");

  return (
    <div style={style} className="flex flex-col" data-screen={entry.node}>
      <div
        ref={scroller}
        data-key={entry.key}
        className="relative min-h-0 grow overflow-x-hidden overflow-y-auto outline-none"
        style={{ paddingTop: grip }}
        tabIndex={-1}
        onScroll={onScroll}
      >
        {homeless.length > 0 && <div className="absolute end-3 top-3 z-10 flex gap-2">{homeless}</div>}
        {rows.map((action) => (
          <ActionRow
            key={action.id}
            action={action}
            height={rowHeight}
            onTap={() => act({ do: "tap", action: action.id, ...at })}
          />
        ))}
        <Body
          node={node}
          params={entry.params}
          ui={entry.ui}
          window={{ top: Math.max(0, scrolled - rows.length * rowHeight), height, width }}
          onPick={(row) => act({ do: "pick", row, ...at })}
          onType={(field, text) => act({ do: "type", field, text, ...at })}
        />
        {inBody.length > 0 && <div className="flex flex-col gap-3 p-4">{inBody}</div>}
      </div>
      {footer.length > 0 && <div className="relative flex flex-col gap-2 p-3">{footer}</div>}
    </div>
  );
}
