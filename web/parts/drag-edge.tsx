import type { CSSProperties, KeyboardEvent, ReactNode } from "react";
import { type DragValueOptions, useDragValue } from "./drag-value.js";

export interface DragEdgeProps extends DragValueOptions {
  label: string;
  title?: string;
  className: string;
  style?: CSSProperties;
  /** Other keys than arrows; says whether the key was one of them. */
  onKey?: (event: KeyboardEvent) => boolean;
  onDoubleClick?: () => void;
  children: ReactNode;
}

/** An edge between two parts of the page that is dragged, or moved by arrows. */
export function DragEdge({
  label,
  title,
  className,
  style,
  onKey,
  onDoubleClick,
  children,
  ...options
}: DragEdgeProps) {
  const { value, least, most, axis } = options;
  const { onPointerDown, onKeyDown } = useDragValue(options);
  return (
    <div
      role="separator"
      aria-orientation={axis === "x" ? "vertical" : "horizontal"}
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={least}
      aria-valuemax={most}
      tabIndex={0}
      title={title}
      className={className}
      style={style}
      onPointerDown={onPointerDown}
      onDoubleClick={onDoubleClick}
      onKeyDown={(event) => {
        if (!onKey?.(event)) return onKeyDown(event);
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      {children}
    </div>
  );
}

/** The grip of an upright edge. */
export function EdgeGrip() {
  return (
    <span className="h-9.5 w-1.5 rounded-sm border border-field bg-plate-2 group-hover:border-petrol group-hover:bg-petrol" />
  );
}
