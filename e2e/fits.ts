import type { Page } from "puppeteer-core";

/**
 * What is badly drawn in the parts of a page that CSS names, in both themes, told so that it can be found: a text that is cut off, a field
 * that does not show all it holds, two things that overlap, a part that is scrolled sideways, a control outside the window.
 */
export const badlyDrawn = (page: Page, parts: string): Promise<string[]> =>
  page.evaluate((css) => {
    const found: string[] = [];
    const { dataset } = document.documentElement;
    const name = (element: Element): string =>
      `${dataset.theme} ${element.closest("section")?.getAttribute("aria-label") ?? ""} <${element.tagName.toLowerCase()}> ${
        element.getAttribute("aria-label") ?? (element.textContent ?? "").slice(0, 60)
      }`;
    const isHidden = (element: Element): boolean => {
      const box = element.getBoundingClientRect();
      const style = getComputedStyle(element);
      return box.width <= 1 || box.height <= 1 || style.visibility === "hidden" || Number(style.opacity) === 0;
    };
    const known = new Map<Element, { style: CSSStyleDeclaration; clip: DOMRect | null }>();
    /** How an element clips what is in it; no box where it does not. Asked of the same ones for each text, so it is kept. */
    const clippingOf = (element: Element) => {
      let clipping = known.get(element);
      if (!clipping) {
        const style = getComputedStyle(element);
        const isOpen = style.overflowX === "visible" && style.overflowY === "visible";
        known.set(element, (clipping = { style, clip: isOpen ? null : element.getBoundingClientRect() }));
      }
      return clipping;
    };
    /** How much of a box can be seen, by all that clips it: null where it is out of sight, scrolled away or as a whole left out. */
    const seenOf = (element: Element, box: DOMRect) => {
      let { left, right, top, bottom } = box;
      let [cutX, cutY] = [false, false];
      for (let at = element.parentElement; at && at !== document.body; at = at.parentElement) {
        const { style, clip } = clippingOf(at);
        if (!clip) continue;
        const scrolls = (overflow: string) => overflow === "auto" || overflow === "scroll";
        if (style.overflowX !== "visible") {
          if (!scrolls(style.overflowX)) cutX ||= left < clip.left - 1 || right > clip.right + 1;
          [left, right] = [Math.max(left, clip.left), Math.min(right, clip.right)];
        }
        if (style.overflowY !== "visible") {
          if (!scrolls(style.overflowY)) cutY ||= top < clip.top - 2 || bottom > clip.bottom + 2;
          [top, bottom] = [Math.max(top, clip.top), Math.min(bottom, clip.bottom)];
        }
      }
      if (right - left <= 1 || bottom - top <= 2) return null;
      return { left, right, top, bottom, cut: cutX || cutY };
    };
    type Seen = NonNullable<ReturnType<typeof seenOf>>;
    const context = document.createElement("canvas").getContext("2d")!;
    for (const theme of ["dark", "light"]) {
      dataset.theme = theme;
      known.clear();
      const leaves: { element: Element; box: Seen }[] = [];
      for (const part of document.querySelectorAll(css)) {
        for (const element of [part, ...part.querySelectorAll("*")]) {
          if (element.closest("[data-device], svg, [data-peg], [data-pull]") || isHidden(element)) continue;
          const style = getComputedStyle(element);
          if (
            (style.overflowX === "auto" || style.overflowX === "scroll") &&
            element.scrollWidth > element.clientWidth + 1 &&
            !element.querySelector('[role="tree"]')
          )
            found.push(`scrolled sideways: ${name(element)}`);
          if (element instanceof HTMLInputElement || element instanceof HTMLSelectElement) {
            const box = seenOf(element, element.getBoundingClientRect());
            if (!box) continue;
            if (box.left < -1 || box.right > innerWidth + 1) found.push(`outside the window: ${name(element)}`);
            if (element.type === "color" || element.type === "checkbox") continue;
            context.font = style.font;
            context.letterSpacing = style.letterSpacing;
            const text =
              element instanceof HTMLSelectElement
                ? (element.selectedOptions[0]?.text ?? "")
                : element.value || element.placeholder;
            const room =
              element.clientWidth -
              parseFloat(style.paddingLeft) -
              parseFloat(style.paddingRight) -
              (element instanceof HTMLSelectElement ? 16 : 0);
            if (context.measureText(text).width > room + 1)
              found.push(`does not show all it holds: ${name(element)}: ${text}`);
            leaves.push({ element, box });
            continue;
          }
          const texts = [...element.childNodes].filter((child) => child instanceof Text && child.data.trim() !== "");
          for (const text of texts) {
            const range = document.createRange();
            range.selectNodeContents(text);
            for (const rect of range.getClientRects()) {
              if (rect.width <= 1 || rect.height <= 1) continue;
              const box = seenOf(text.parentElement!, rect);
              // what a strip has no room for goes out of sight as a whole
              if (!box) continue;
              const clip = style.overflowX === "hidden" && rect.right > element.getBoundingClientRect().right + 1;
              if (box.cut || clip) found.push(`cut off: ${name(element)}`);
              if (box.left < -1 || box.right > innerWidth + 1) found.push(`outside the window: ${name(element)}`);
              leaves.push({ element, box });
            }
          }
        }
      }
      for (const [i, { element, box }] of leaves.entries())
        for (const other of leaves.slice(i + 1)) {
          if (element === other.element || element.contains(other.element) || other.element.contains(element)) continue;
          const wide = Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left);
          const high = Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top);
          if (wide > 2 && high > 3) found.push(`on one another: ${name(element)} | ${name(other.element)}`);
        }
    }
    return [...new Set(found)];
  }, parts);
