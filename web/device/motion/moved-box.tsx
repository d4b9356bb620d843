import { type CSSProperties, type ReactNode, useLayoutEffect, useRef } from "react";
import type { Box, Mover } from "../../../core/index.js";
import { usePlays } from "./motion-context.js";

const clipped = ({ x, y, width, height }: Box): string =>
  `polygon(${x}px ${y}px, ${x + width}px ${y}px, ${x + width}px ${y + height}px, ${x}px ${y + height}px)`;

/** At rest a box is not there for the eye; while it moves it lies over the whole view, so that all in it moves as one. */
const whole: CSSProperties = { position: "absolute", inset: 0, pointerEvents: "none" };

const outerStyle = (mover: Mover, isStage: boolean): CSSProperties => ({
  ...whole,
  ...(mover.clip && { clipPath: clipped(mover.clip) }),
  ...(mover.isUnder && { zIndex: -1 }),
  ...(isStage && { isolation: "isolate" }),
});

const innerStyle = ({ paths, box }: Mover): CSSProperties => {
  const properties = Object.keys(paths);
  const moved = properties.some((property) => property !== "opacity");
  const changes = [...(moved ? ["transform"] : []), ...(properties.includes("opacity") ? ["opacity"] : [])];
  return {
    ...whole,
    transformOrigin: `${box.x + box.width / 2}px ${box.y + box.height / 2}px`,
    willChange: changes.join(", "),
  };
};

export interface MovedBoxProps {
  mover: Mover | null;
  /** Something in it lies under its neighbours while it moves. */
  isStage: boolean;
  name: string;
  isGone: boolean;
  children: ReactNode;
}

/** What moves as one while it moves: it is drawn in its place, and the browser moves it. */
export function MovedBox({ mover, isStage, name, isGone, children }: MovedBoxProps) {
  const motion = usePlays();
  const inner = useRef<HTMLDivElement>(null);
  const active = mover && Object.keys(mover.paths).length > 0 ? mover : null;
  const latest = useRef(active);
  latest.current = active;
  const { paths, led } = active ?? {};
  const isLed = led !== undefined;
  useLayoutEffect(() => {
    const [now, element] = [latest.current, inner.current];
    return now && element && motion ? motion.play(now, element) : undefined;
  }, [motion, paths, isLed]);
  const outer = mover ? outerStyle(mover, isStage) : isStage ? { ...whole, isolation: "isolate" as const } : null;
  return (
    <div data-layer={name} data-leaving={isGone || undefined} inert={isGone} style={outer ?? { display: "contents" }}>
      <div ref={inner} style={active ? innerStyle(active) : { display: "contents" }}>
        {mover?.isOpaque && <Ground mover={mover} />}
        {children}
      </div>
    </div>
  );
}

/** The page's colour beneath a layer that moves; what slides over another casts a shadow on it. */
function Ground({ mover: { box, isUnder, paths } }: { mover: Mover }) {
  const isLifted = !isUnder && (paths.x !== undefined || paths.y !== undefined);
  return (
    <div
      className="absolute"
      style={{
        left: box.x,
        top: box.y,
        width: box.width,
        height: box.height,
        background: "var(--page)",
        ...(isLifted && { boxShadow: "0 0 24px rgb(0 0 0 / .22)" }),
      }}
    />
  );
}
