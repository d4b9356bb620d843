import { childrenOf, type Frame, overOf, plainName, type PlanLayout } from "../../../core/index.js";

/** The strip that lies over the rest of a stack: overlays, and screens pushed beside a container. */
export function CoverBox({ frame, strip }: { frame: Frame; strip: PlanLayout["covers"][number] }) {
  const { stack, x, y, width, height } = strip;
  const overlays = childrenOf(frame.nodes[stack]!).filter((id) => frame.nodes[id]!.opens);
  const local = overlays.filter((id) => overOf(frame.nodes[id]!) === "region").length;
  const own = plainName(frame, stack);
  return (
    <div
      className="absolute rounded-md border border-saffron bg-saffron-soft shadow-[3px_3px_0_color-mix(in_srgb,var(--saffron)_45%,transparent)]"
      style={{ left: x, top: y, width, height }}
    >
      <p className="truncate px-2 pt-0.5 text-[11.5px] text-ink">
        {local === 0
          ? "over everything"
          : local === overlays.length
            ? `over ${own} alone`
            : `over ${own}, or everything`}
      </p>
    </div>
  );
}
