import { type RefObject, useEffect, useState } from "react";
import {
  type Box,
  type Cover,
  type Covered,
  hiddenByDevice,
  leastTarget,
  type TargetTrouble,
  targetTrouble,
  type View,
} from "../../core/index.js";

/** Something to be touched that is hidden or too small, and why. */
interface Mark extends Box {
  says: string;
}

const hiddenBy: Readonly<Record<Cover, string>> = {
  hinge: "lies under the hinge",
  cut: "lies under a hole in the screen",
  bar: "lies under the floating bar",
  overlay: "lies under what is over it",
};

const wordsOf = (trouble: TargetTrouble, { width, height }: Box): string =>
  trouble.why === "hidden"
    ? hiddenBy[trouble.by]
    : `is ${Math.round(width)} × ${Math.round(height)} px: less than ${leastTarget} each way is hard to hit`;

type Hides = Box & { by: Cover };

/** What is wrong with one target where it stands, and could not be scrolled right. */
const troubleOf = (element: Element, box: Box, scale: number, covered: readonly Hides[]): TargetTrouble | null => {
  const scroller = element.closest("[data-key]");
  const found = targetTrouble(box, covered);
  if (!scroller || found?.why !== "hidden") return found;
  const most = scroller.scrollHeight - scroller.clientHeight;
  const [up, down] = [most - scroller.scrollTop, scroller.scrollTop];
  const room = scroller.getBoundingClientRect().height / scale;
  // what can be scrolled out from under is no trouble
  return [-Math.min(up, room), Math.min(down, room)].some((by) => !targetTrouble({ ...box, y: box.y + by }, covered))
    ? null
    : found;
};

/** The targets of a device that are in trouble, looked for once the page has nothing else to do. */
const useMarks = ({ device, view, scale, covered, of }: TargetMarksProps) => {
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  useEffect(() => {
    const look = () => {
      const root = device.current;
      if (!root || scale <= 0) return;
      const from = root.getBoundingClientRect();
      const byDevice = hiddenByDevice(view);
      const found: Mark[] = [];
      for (const element of root.querySelectorAll(
        "[data-action], [data-tab], [data-back], [data-close], [data-menu]",
      )) {
        if (element.closest("[inert]")) continue;
        const at = element.getBoundingClientRect();
        const box = {
          x: (at.x - from.x) / scale,
          y: (at.y - from.y) / scale,
          width: at.width / scale,
          height: at.height / scale,
        };
        // what stands on a screen may lie under more than what the device hides; a bar lies over that itself
        const screen = element.closest("[data-screen]")?.getAttribute("data-screen");
        const over = screen ? covered.filter(({ node }) => node === screen) : byDevice;
        const trouble = troubleOf(element, box, scale, over);
        const name = element.getAttribute("aria-label") ?? element.textContent ?? "";
        if (trouble) found.push({ ...box, says: `${name.trim()} ${wordsOf(trouble, box)}` });
      }
      setMarks((now) => (now.length === 0 && found.length === 0 ? now : found));
    };
    const idle = requestIdleCallback(look, { timeout: 600 });
    return () => cancelIdleCallback(idle);
  }, [device, view, scale, covered, of]);
  return marks;
};

export interface TargetMarksProps {
  device: RefObject<HTMLElement | null>;
  view: View;
  scale: number;
  covered: readonly Covered[];
  /** What the device shows: looked at again when it is another. */
  of: unknown;
}

/** Marks each target that cannot be touched, or is hard to hit, with the reason. */
export function TargetMarks(props: TargetMarksProps) {
  const marks = useMarks(props);
  return (
    <ul aria-label="Hard to touch" className="pointer-events-none absolute inset-0" style={{ zIndex: 6 }}>
      {marks.map(({ x, y, width, says }, i) => (
        <li
          key={i}
          data-hard-to-touch
          title={says}
          className="pointer-events-auto absolute grid size-4.5 place-items-center rounded-full bg-[#B4432F] text-[12px] leading-none font-bold text-white"
          style={{ left: x + width - 9, top: y - 9 }}
        >
          <span aria-hidden>!</span>
          <span className="sr-only">{says}</span>
        </li>
      ))}
    </ul>
  );
}
