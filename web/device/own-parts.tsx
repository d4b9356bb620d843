import { type Covered, hingeBox, type Insets, type View } from "../../core/index.js";

/** What the device itself has over the app: its strips, holes in its screen, its fold. Drawn in our own plain way, for any device. */
export function OwnParts({ view, insets }: { view: View; insets: Insets }) {
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0" style={{ zIndex: 4 }}>
      {insets.top >= 16 && <ClockStrip insets={insets} />}
      {insets.bottom >= 12 && (
        <div
          data-own-strip="gesture"
          className="absolute bottom-0 grid place-items-center"
          style={{ left: insets.left, right: insets.right, height: insets.bottom }}
        >
          <span className="h-[5px] w-8 border-x-[1.5px] border-b-[1.5px]" style={{ opacity: 0.55 }} />
        </div>
      )}
      <Fold view={view} />
      {(view.cuts ?? []).map(({ x, y, width, height }, i) => (
        <div
          key={i}
          data-cut
          className="absolute"
          style={{ left: x, top: y, width, height, borderRadius: 8, background: "#12181c" }}
        />
      ))}
    </div>
  );
}

function ClockStrip({ insets: { top, left, right } }: { insets: Insets }) {
  return (
    <div
      data-own-strip="clock"
      className="mono absolute flex items-center justify-between px-5 text-[11px]"
      style={{ left, right, top: 0, height: top, opacity: 0.75 }}
    >
      <span>07:20</span>
      <span className="flex gap-1">
        {[0.4, 0.7, 1].map((opacity) => (
          <span key={opacity} className="h-2.5 w-[3px]" style={{ background: "currentColor", opacity }} />
        ))}
      </span>
    </div>
  );
}

/** Where the device folds: a band where that takes room, else a line. */
function Fold({ view }: { view: View }) {
  const { width, height, hinge } = view;
  const fold = hingeBox(view);
  if (!hinge) return null;
  if (fold)
    return (
      <div
        data-hinge
        className="absolute"
        style={{ left: fold.x, top: fold.y, width: fold.width, height: fold.height, background: "#39444b" }}
      />
    );
  const line =
    "x" in hinge
      ? { left: hinge.x, top: 0, height, borderLeftWidth: 1 }
      : { top: hinge.y, left: 0, width, borderTopWidth: 1 };
  return <div data-hinge className="absolute border-dashed" style={{ ...line, opacity: 0.5 }} />;
}

const hatch = "repeating-linear-gradient(45deg, rgb(180 67 47 / .55) 0 1.5px, transparent 1.5px 7px)";

/** What of the app's content is hidden, hatched. */
export function CoveredParts({ covered }: { covered: readonly Covered[] }) {
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0" style={{ zIndex: 5 }}>
      {covered.map(({ x, y, width, height, by, node }, i) => (
        <div
          key={i}
          data-covered={by}
          data-of={node}
          className="absolute"
          style={{ left: x, top: y, width, height, backgroundImage: hatch, outline: "1px solid rgb(180 67 47 / .6)" }}
        />
      ))}
    </div>
  );
}
