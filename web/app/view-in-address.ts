import { useEffect, useRef } from "react";
import { useSearchParams } from "react-router";
import { targetsOf, type View, firstOf } from "../../core/index.js";
import { panels } from "../data/selection.js";
import { useWriteAddress } from "./address.js";
import { useEditing, useLive, useOpenFrame, useSelection } from "./open-frame.js";

const usual = "390x844";

/** The view that an address names: `view=390x844`, `on=` a target. */
export const viewInAddress = (params: URLSearchParams): Partial<View> => {
  const [, width, height] = /^(\d{2,4})x(\d{2,4})$/.exec(params.get("view") ?? usual) ?? ["", "390", "844"];
  const target = params.get("on");
  return { width: Number(width), height: Number(height), ...(target && { target }) };
};

/** Keeps in the page's address what concerns the whole frame: the bench's panel, all targets side by side. */
export const usePanelInAddress = (): void => {
  const opened = useOpenFrame();
  const panel = useSelection((selected) => selected.panel);
  const sideBySide = useLive((live) => live.sideBySide);
  const [params] = useSearchParams();
  const write = useWriteAddress();
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      const asked = params.get("panel");
      const panel = panels.find((each) => each === asked);
      if (panel) opened.selection.showPanel(panel);
      if (params.get("targets") === "all") opened.live.showAllTargets(true);
      return;
    }
    write((now) => {
      if (panel) now.set("panel", panel);
      else now.delete("panel");
      if (sideBySide) now.set("targets", "all");
      else now.delete("targets");
    });
  }, [opened, panel, sideBySide, params, write]);
};

/** Keeps the device's view in the page's address. */
export const useViewInAddress = (): void => {
  const view = useLive((live) => live.device.view);
  const first = useEditing((edited) => firstOf(targetsOf(edited.frame)).id);
  const [params] = useSearchParams();
  const write = useWriteAddress();
  const { width, height, target } = view;
  useEffect(() => {
    write((now) => {
      const size = `${width}x${height}`;
      if (size === usual) now.delete("view");
      else now.set("view", size);
      if (target === first) now.delete("on");
      else now.set("on", target);
    });
  }, [width, height, target, first, params, write]);
};
