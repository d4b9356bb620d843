import { type CSSProperties, useEffect, useLayoutEffect, useRef, useState } from "react";
import { type Action, cornerOf, type Frame, isThere, type NavigationEvent, type ScreenNode, type ScreenScene, type State, type View } from "../../core/index.js";
import { Icon } from "../parts/icon.js";
import { Body } from "./body.js";

export interface ScreenViewProps {
  frame: Frame;
  view: View;
  facts: State["facts"];
  scene: ScreenScene;
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

/** The actions of a screen that stand in one place of it now. */
export const actionsAt = (
  frame: Frame,
  view: View,
  facts: State["facts"],
  node: ScreenNode,
  ...places: Action["place"][]
): Action[] =>
  (node.actions ?? []).filter(({ place, only }) => places.includes(place) && isThere(frame, only, view, facts));

/** A screen: what it shows, scrolled to where the person left it, and its actions. */
export function ScreenView(props: ScreenViewProps) {
  const { frame, view, facts, scene, named, ghost, style, width, height, grip, send, onSettler } = props;
  const { entry } = scene;
  const node = frame.nodes[entry.node] as ScreenNode;
  const scroller = useRef<HTMLDivElement>(null);
  const settling = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const unsent = useRef<number | null>(null);
  const [scrolled, setScrolled] = useState(entry.ui.scroll);
  const at = named ? { in: entry.node } : {};

  // the place a screen was left at is put back when it shows again, and followed when the engine changes it
  useLayoutEffect(() => {
    const element = scroller.current;
    if (!element || unsent.current !== null) return;
    if (Math.abs(element.scrollTop - entry.ui.scroll) > 1) element.scrollTop = entry.ui.scroll;
    setScrolled(element.scrollTop);
  }, [entry.key, entry.ui.scroll]);

  const settle = useRef(() => {});
  settle.current = () => {
    clearTimeout(settling.current);
    const to = unsent.current;
    unsent.current = null;
    if (to !== null) send({ do: "scroll", to: Math.max(0, Math.round(to)), ...at });
  };
  useEffect(() => {
    const forget = onSettler(() => settle.current());
    return () => {
      clearTimeout(settling.current);
      forget();
    };
  }, [onSettler]);

  const act = (event: NavigationEvent) => {
    settle.current();
    send(event);
  };
  const tap = (action: Action) => act({ do: "tap", action: action.id, ...at });
  const corner = cornerOf(frame);
  const button = (action: Action, look: "strong" | "line") => (
    <button
      key={action.id}
      type="button"
      data-action={action.id}
      onClick={() => tap(action)}
      className="flex min-h-11 items-center justify-center gap-2 px-4 text-[16px] font-semibold"
      style={
        look === "strong"
          ? { background: "var(--accent)", color: "var(--page)", borderRadius: corner }
          : { border: "1.5px solid var(--accent)", color: "var(--accent)", borderRadius: corner }
      }
    >
      {action.icon && <Icon name={action.icon} size={20} />}
      {action.label}
    </button>
  );
  const inPlace = (...places: Action["place"][]) => actionsAt(frame, view, facts, node, ...places);
  const footer = inPlace("footer");
  const inBody = inPlace("body");
  // without a strip of its own a screen's header actions stand at its top
  const homeless = scene.strip ? [] : inPlace("start", "end");

  return (
    <div style={style} className="flex flex-col" data-screen={entry.node}>
      <div
        ref={scroller}
        data-key={entry.key}
        className="relative min-h-0 grow overflow-x-hidden overflow-y-auto outline-none"
        style={{ paddingTop: grip }}
        tabIndex={-1}
        onScroll={(event) => {
          if (ghost) return;
          const top = event.currentTarget.scrollTop;
          setScrolled(top);
          if (Math.abs(top - entry.ui.scroll) < 1) return;
          unsent.current = top;
          clearTimeout(settling.current);
          settling.current = setTimeout(() => settle.current(), 160);
        }}
      >
        {homeless.length > 0 && (
          <div className="absolute end-3 top-3 z-10 flex gap-2">{homeless.map((action) => button(action, "line"))}</div>
        )}
        <Body
          node={node}
          params={entry.params}
          ui={entry.ui}
          window={{ top: scrolled, height, width }}
          onPick={(row) => act({ do: "pick", row, ...at })}
          onType={(field, text) => act({ do: "type", field, text, ...at })}
        />
        {inBody.length > 0 && (
          <div className="flex flex-col gap-3 p-4">{inBody.map((action) => button(action, "line"))}</div>
        )}
      </div>
      {footer.length > 0 && (
        <div className="relative flex flex-col gap-2 p-3">{footer.map((action) => button(action, "strong"))}</div>
      )}
    </div>
  );
}
