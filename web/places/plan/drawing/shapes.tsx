import type { NodeKind } from "../../../../core/index.js";

/** The sign of a kind of node: a comb, a stair, a gutter, a sheet of paper. Shape tells the kinds apart, not colour. */
export function KindSign({ kind, size = 16 }: { kind: NodeKind; size?: number }) {
  const path: Record<NodeKind, string> = {
    hub: "M2 3h12v10H2zM6 3v5M10 3v5",
    stack: "M2 3h5v4h4v4h3M2 3v10h12",
    pair: "M2 3h5v10H2zM9 3h5v10H9z",
    screen: "M4 2h8v12H4z",
  };
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      fill="none"
      stroke="currentColor"
      strokeWidth={1.6}
      aria-hidden
      className="shrink-0"
    >
      <path d={path[kind]} />
    </svg>
  );
}
