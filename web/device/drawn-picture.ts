import {
  actionsThere,
  arrangeSurface,
  type Body,
  coloursOf,
  equal,
  type FixedFrame,
  keysOf,
  lensOf,
  type Mark,
  markOf,
  type Palette,
  type Region,
  screenAt,
  type SeenHeader,
  type State,
  surfaceOf,
  type View,
} from "../../core/index.js";
import type { Box } from "./picture-body.js";
import { tabsShown } from "./picture-face.js";

/** One region of a picture, with all that it is drawn with. */
export interface DrawnRegion {
  role: Region["role"];
  box: Box;
  /** It stands at the start edge of the view. */
  atStart: boolean;
  content?: { kind: Body["kind"]; footer: boolean; rows: number };
  header?: SeenHeader;
  /** Whether each tab is the chosen one. */
  tabs?: boolean[];
}

/** A picture as it is drawn: nothing of the frame is read any more. */
export interface DrawnPicture {
  /** px. */
  width: number;
  height: number;
  fontSize: number;
  colours: Palette;
  mark: Mark;
  regions: readonly DrawnRegion[];
}

const overlays = new Set<Region["role"]>(["sheet", "dialog", "side", "fullscreen"]);

const lowered = (box: Box, by: number): Box => ({ ...box, y: box.y + by, height: Math.max(0, box.height - by) });

/** Where the regions of a view stand in a picture of it. A tall view is cut short in the middle of its content: what lies at its foot moves up. */
const boxesOf = (regions: readonly Region[], view: View, width: number, height: number, fontSize: number): Box[] => {
  const scale = width / view.width;
  const over = Math.max(0, view.height * scale - height);
  // but not where something lies over it: that has to keep its share of the height
  const lies = regions.some(({ role }) => overlays.has(role) && role !== "fullscreen");
  const plainBox = (region: Region): Box => {
    const [x, wide] = [region.x * scale, region.width * scale];
    if (lies && over > 0 && region.role !== "bar") {
      const down = height / view.height;
      return { x, y: region.y * down, width: wide, height: region.height * down };
    }
    const isBelow = (y: number): boolean => y > view.height / 2;
    const from = region.y * scale - (isBelow(region.y) ? over : 0);
    const end = region.y + region.height;
    return { x, y: from, width: wide, height: end * scale - (isBelow(end) ? over : 0) - from };
  };
  const plain = regions.map(plainBox);
  // a strip too low for its title is drawn as high as that needs, at the cost of the content under it
  const titled = (box: Box): Box => ({ ...box, height: Math.max(box.height, fontSize + 5) });
  const strips = plain.filter((_, i) => regions[i]?.role === "header");
  const isOver = (strip: Box, box: Box): boolean =>
    strip.x <= box.x && box.x < strip.x + strip.width && Math.abs(strip.y + strip.height - box.y) < 1;
  const pushedBy = (box: Box): number =>
    strips
      .filter((strip) => isOver(strip, box))
      .reduce((sum, strip) => Math.max(sum, titled(strip).height - strip.height), 0);
  return plain.map((box, i) => {
    const role = regions[i]?.role;
    if (role === "header") return titled(box);
    return role === "content" ? lowered(box, pushedBy(box)) : box;
  });
};

const contentOf = (frame: FixedFrame, state: State, view: View, node: string): DrawnRegion["content"] => {
  const { body, actions } = screenAt(frame, node);
  const there = actionsThere(frame, actions, view, { facts: state.facts }, "footer", "row");
  return {
    kind: body?.kind ?? "blank",
    footer: there.some(({ place }) => place === "footer"),
    rows: Math.min(4, there.filter(({ place }) => place === "row").length),
  };
};

const faces = new Set<Region["role"]>(["bar", "top", "rail", "panel", "drawer"]);

/** What a picture is of, and how large it is. */
export interface PictureSubject {
  frame: FixedFrame;
  state: State;
  view: View;
  /** px on the plan. */
  width: number;
  height: number;
  dark: boolean;
}

/** The top screen of a state as it is arranged in the view, small: bars, strips and what is covered are as the engine has them. */
export const drawPicture = ({ frame, state, view, width, height, dark }: PictureSubject): DrawnPicture => {
  const { theme } = lensOf(frame, view).app;
  const regions = arrangeSurface(frame, surfaceOf(frame, state, view), view);
  const fontSize = Math.min(11, Math.max(7.5, width / 11));
  const boxes = boxesOf(regions, view, width, height, fontSize);
  return {
    width,
    height,
    fontSize,
    colours: coloursOf(theme, dark),
    mark: markOf(theme),
    regions: regions.flatMap((region, i): DrawnRegion[] => {
      const box = boxes[i];
      if (!box) return [];
      const { role, header } = region;
      const content = role === "content" ? contentOf(frame, state, view, region.node) : undefined;
      return [
        {
          role,
          box,
          atStart: region.x <= 0,
          ...(content && { content }),
          ...(header && { header }),
          ...(faces.has(role) && { tabs: tabsShown(region) }),
        },
      ];
    }),
  };
};

/** Pictures that stay the same objects as long as nothing in them has changed, whatever else of the frame did. */
export class PictureBook {
  private readonly kept = new Map<string, { of: PictureSubject; drawn: DrawnPicture }>();

  /** The picture under a key: the one that was kept there, if it is as this one. */
  at(key: string, of: PictureSubject): DrawnPicture {
    const before = this.kept.get(key);
    if (before && keysOf(of).every((name) => before.of[name] === of[name])) return before.drawn;
    const made = drawPicture(of);
    const drawn = before && equal(before.drawn, made) ? before.drawn : made;
    this.kept.set(key, { of, drawn });
    return drawn;
  }
}
