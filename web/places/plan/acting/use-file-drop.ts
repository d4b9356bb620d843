import { type DragEvent, useMemo, useRef } from "react";
import { nodeAt, plainName, together, variedEdit } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { useBringIcon } from "../../../app/own-icons.js";
import { External } from "../../../data/external.js";
import { type Point, type Rect, type Under, within } from "../drawing/under.js";
import type { Stage } from "../drawing/use-stage.js";
import type { Planned } from "./edits.js";

/** A file on its way from elsewhere. */
export interface FileDrop extends Point {
  /** The tab that it would give its icon; null where it is over none. */
  area: Rect | null;
  says: string;
}

/** What is brought over the plan; kept outside React, so that it draws its chip anew and not the plan. */
export type Filing = External<{ file: FileDrop | null }>;

interface Options {
  stage: Stage;
  make: (planned: Planned | null) => boolean;
}

const holdsFile = ({ dataTransfer }: DragEvent): boolean => [...dataTransfer.types].includes("Files");

/** Files dropped on the plan: a drawing that falls on a tab becomes its icon. */
export const useFileDrop = ({ stage, make }: Options) => {
  const { editing } = useOpenFrame();
  const bring = useBringIcon();
  const filing = useMemo<Filing>(() => new External<{ file: FileDrop | null }>({ file: null }), []);
  const latest = useRef({ stage, make });
  latest.current = { stage, make };

  const tabUnder = (point: Point): Under | null =>
    latest.current.stage.layout?.teeth
      .map((tooth) => ({ ...tooth, parent: tooth.hub }))
      .find((tooth) => within(tooth, point)) ?? null;
  const tabOf = (event: DragEvent): Under | null => {
    const point = latest.current.stage.pointOf(event);
    return point && tabUnder(point);
  };

  const take = async (file: File, { id, parent }: Under): Promise<void> => {
    const brought = await bring(file);
    const { frame } = editing.get();
    // it may have been taken out while the drawing was read
    if (!brought || !Object.hasOwn(frame.nodes, id)) return;
    const { name, edit } = brought;
    const set = variedEdit(id, "tab.icon", undefined, name);
    latest.current.make({
      edit: together(edit ? [edit, set] : [set]),
      label: `Icon ${name} on ${plainName(frame, id)}`,
      choose: { id, parent },
    });
  };

  return {
    filing,
    onDragOver: (event: DragEvent) => {
      const point = latest.current.stage.pointOf(event);
      if (!holdsFile(event) || !point) return;
      event.preventDefault();
      const area = tabUnder(point);
      event.dataTransfer.dropEffect = area ? "copy" : "none";
      const { frame } = editing.get();
      const says = area
        ? `becomes the icon of ${nodeAt(frame, area.id).tab?.label ?? plainName(frame, area.id)}`
        : "becomes the icon of the tab that it is dropped on";
      filing.set({ file: { ...point, area, says } });
    },
    onDragLeave: (event: DragEvent) => {
      if (!(event.relatedTarget instanceof Node) || !event.currentTarget.contains(event.relatedTarget))
        filing.set({ file: null });
    },
    onDrop: (event: DragEvent) => {
      const [file] = event.dataTransfer.files;
      const tab = tabOf(event);
      filing.set({ file: null });
      if (!holdsFile(event)) return;
      event.preventDefault();
      if (file && tab) void take(file, tab);
    },
  };
};
