import { type CSSProperties, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import {
  type Action,
  arrangeSurface,
  type Frame,
  isThere,
  type NavigationEvent,
  type Region,
  type ScreenNode,
  type SeenHeader,
  type State,
  surfaceOf,
  type View,
} from "../../core/index.js";
import { Icon } from "../parts/icon.js";
import { Body } from "./body.js";
import { coloursOf } from "./colours.js";
import { FaceBar } from "./faces.js";

export interface LiveDeviceProps {
  frame: Frame;
  state: State;
  view: View;
  dark: boolean;
  /** Screen px for each px of the view. */
  scale: number;
  /** A look at a state that is not the device's: nothing on it can be touched. */
  ghost?: boolean;
  send: (event: NavigationEvent) => void;
}

const boxOf = ({ x, y, width, height }: Region): CSSProperties => ({
  position: "absolute",
  left: x,
  top: y,
  width,
  height,
});

/** A device that is worked by hand: it draws what the engine says is on screen, and turns touches into events. */
export function LiveDevice({ frame, state, view, dark, scale, ghost = false, send }: LiveDeviceProps) {
  const surface = useMemo(() => surfaceOf(frame, state, view), [frame, state, view]);
  const regions = useMemo(() => arrangeSurface(frame, surface, view), [frame, surface, view]);
  const { top } = surface;
  const node = frame.nodes[top.node] as ScreenNode;
  const colours = coloursOf(frame, dark);
  const content = regions[0]!;

  const scroller = useRef<HTMLDivElement>(null);
  const settling = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const unsent = useRef<number | null>(null);
  const [scrolled, setScrolled] = useState(top.ui.scroll);

  // the place a screen was left at is put back when it shows again, and followed when the engine changes it
  useLayoutEffect(() => {
    const element = scroller.current;
    if (!element || unsent.current !== null) return;
    if (Math.abs(element.scrollTop - top.ui.scroll) > 1) element.scrollTop = top.ui.scroll;
    setScrolled(element.scrollTop);
  }, [top.key, top.ui.scroll]);
  useEffect(() => () => clearTimeout(settling.current), []);

  const settle = () => {
    clearTimeout(settling.current);
    const to = unsent.current;
    unsent.current = null;
    if (to !== null) send({ do: "scroll", to: Math.max(0, Math.round(to)) });
  };
  /** What was scrolled belongs to the screen it was scrolled on: it is told before anything else happens. */
  const act = (event: NavigationEvent) => {
    settle();
    send(event);
  };

  const seen = (place: Action["place"]) =>
    (node.actions ?? []).filter((action) => action.place === place && isThere(frame, action.only, view, state.facts));
  const tap = (action: Action) => act({ do: "tap", action: action.id });
  const headers = surface.layers.flatMap((layer) => [layer.strip, layer.header].filter((header) => header !== null));
  const own = headers.at(-1);
  const footer = seen("footer");
  const inBody = seen("body");
  // without a strip of its own a screen's header actions stand at its top
  const homeless = own ? [] : [...seen("start"), ...seen("end")];

  const style = {
    width: view.width,
    height: view.height,
    transform: `scale(${scale})`,
    transformOrigin: "0 0",
    background: colours.page,
    color: colours.ink,
    direction: view.rtl ? "rtl" : "ltr",
    "--page": colours.page,
    "--surface": colours.surface,
    "--ink": colours.ink,
    "--accent": colours.accent,
    "--mark": colours.mark,
    "--bar": colours.bar,
    "--bar-ink": colours.barInk,
    "--bar-active": colours.barActive,
    "--badge": colours.badge,
  } as CSSProperties;
  const corner = frame.theme?.corner ?? 8;
  const hairline = "1px solid color-mix(in srgb, var(--ink) 14%, transparent)";
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

  return (
    <div
      style={{ width: view.width * scale, height: view.height * scale }}
      className="relative overflow-hidden"
      inert={ghost}
    >
      <div style={style} className="relative overflow-hidden text-left">
        <div key={top.key} style={boxOf(content)} className="flex flex-col" data-screen={top.node}>
          <div
            ref={scroller}
            className="relative min-h-0 grow overflow-x-hidden overflow-y-auto"
            tabIndex={-1}
            onScroll={(event) => {
              if (ghost) return;
              const at = event.currentTarget.scrollTop;
              setScrolled(at);
              if (Math.abs(at - top.ui.scroll) < 1) return;
              unsent.current = at;
              clearTimeout(settling.current);
              settling.current = setTimeout(settle, 160);
            }}
          >
            {homeless.length > 0 && (
              <div className="absolute top-3 right-3 z-10 flex gap-2">
                {homeless.map((action) => button(action, "line"))}
              </div>
            )}
            <Body
              node={node}
              params={top.params}
              ui={top.ui}
              window={{ top: scrolled, height: content.height, width: content.width }}
              onPick={(row) => act({ do: "pick", row })}
              onType={(field, text) => act({ do: "type", field, text })}
            />
            {inBody.length > 0 && (
              <div className="flex flex-col gap-3 p-4">{inBody.map((action) => button(action, "line"))}</div>
            )}
          </div>
          {footer.length > 0 && (
            <div className="relative flex flex-col gap-2 p-3">{footer.map((action) => button(action, "strong"))}</div>
          )}
        </div>
        {regions.slice(1).map((region) => {
          const key = `${region.role} ${region.node}`;
          if (region.role === "header")
            return (
              <div
                key={key}
                style={{
                  ...boxOf(region),
                  background: "var(--surface)",
                  borderBottom: hairline,
                  paddingTop: region.y <= 0 ? view.insets.top : 0,
                }}
              >
                <Strip
                  header={headers.find((header) => header.by === region.node)!}
                  start={region.node === own?.by ? seen("start") : []}
                  end={region.node === own?.by ? seen("end") : []}
                  onBack={() => act({ do: "up" })}
                  onTap={tap}
                />
              </div>
            );
          const bar = surface.layers.find((layer) => layer.bar?.hub === region.node)?.bar;
          const border =
            region.role === "bar"
              ? { borderTop: hairline }
              : region.role === "top"
                ? { borderBottom: hairline }
                : { borderInlineEnd: hairline };
          return (
            bar && (
              <div key={key} style={{ ...boxOf(region), ...border }}>
                <FaceBar
                  frame={frame}
                  state={state}
                  view={view}
                  bar={bar}
                  onTab={(to) => act({ do: "tab", to })}
                  onExtra={(action) => act({ do: "tap", action, in: bar.hub })}
                />
              </div>
            )
          );
        })}
      </div>
    </div>
  );
}

interface StripProps {
  header: SeenHeader;
  start: Action[];
  end: Action[];
  onBack: () => void;
  onTap: (action: Action) => void;
}

function Strip({ header, start, end, onBack, onTap }: StripProps) {
  const { title } = header;
  const action = (each: Action) => (
    <button
      key={each.id}
      type="button"
      data-action={each.id}
      aria-label={each.label}
      onClick={() => onTap(each)}
      className="flex h-11 min-w-11 items-center justify-center px-1 text-[15px] font-semibold"
      style={{ color: "var(--accent)" }}
    >
      {each.icon ? <Icon name={each.icon} size={23} /> : each.label}
    </button>
  );
  return (
    <div className="flex h-full items-center gap-1 px-2">
      {header.back && (
        <button
          type="button"
          aria-label="Header Back"
          data-back
          onClick={onBack}
          className="grid size-11 place-items-center"
          style={{ color: "var(--accent)" }}
        >
          <Icon name="arrow-left" size={23} />
        </button>
      )}
      {start.map(action)}
      <span className={`min-w-0 grow truncate text-[18px] font-bold ${header.back || start.length ? "" : "pl-2"}`}>
        {title}
      </span>
      {end.map(action)}
    </div>
  );
}
