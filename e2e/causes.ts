import type { Page } from "puppeteer-core";

/** What has the focus, as far as it says which keys may edit. */
export interface Focus {
  kind: "nowhere" | "node" | "field" | "picker" | "select" | "control" | "option";
  /** What it is called. */
  name: string;
  /** A field holds another text than when it got the focus. */
  changed: boolean;
  /** A picker has an option chosen, which Enter takes. */
  chosen: boolean;
  /** Something that was just added is being named. */
  naming: boolean;
}

/** Watches a page: every edit is logged, and what a field held when it got the focus is kept. */
export const watchEdits = (page: Page): Promise<unknown> =>
  page.evaluateOnNewDocument(() => {
    const edits: string[] = [];
    const held = new WeakMap<Element, string>();
    Object.assign(window, { loggedEdits: edits, heldTexts: held });
    addEventListener("handy-frame:edit", (event) => edits.push(String((event as CustomEvent).detail)));
    addEventListener(
      "focusin",
      ({ target }) => {
        if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) held.set(target, target.value);
      },
      true,
    );
  });

/** What is asked after each step, all at once. */
export interface Seen {
  /** The edits made since this was last asked. */
  edits: string[];
  focus: Focus;
  /** Where the page is. */
  path: string;
}

/** What a page is like now. */
export const seen = (page: Page): Promise<Seen> =>
  page.evaluate(() => {
    const { heldTexts: held, loggedEdits } = window as unknown as {
      heldTexts: WeakMap<Element, string>;
      loggedEdits: string[];
    };
    const at = document.activeElement as HTMLElement | null;
    const isField = at instanceof HTMLInputElement || at instanceof HTMLTextAreaElement;
    const kind = (): Focus["kind"] => {
      if (!at || at === document.body) return "nowhere";
      if (at.dataset.node !== undefined) return "node";
      if (at.getAttribute("role") === "combobox") return "picker";
      if (at instanceof HTMLSelectElement) return "select";
      if (isField && at.type !== "color" && at.type !== "file") return "field";
      return at.getAttribute("role") === "option" ? "option" : "control";
    };
    return {
      edits: loggedEdits.splice(0),
      focus: {
        kind: kind(),
        name: at?.getAttribute("aria-label") ?? at?.textContent?.slice(0, 40) ?? "",
        changed: isField && at.value !== held.get(at),
        chosen: Boolean(at?.getAttribute("aria-activedescendant")),
        naming: at?.getAttribute("aria-label") === "Title" && at.closest("[data-node]") !== null,
      },
      path: location.pathname,
    };
  });

const planKeys = /^(n|Shift\+N|Delete|Backspace|Alt\+Arrow\w+|Control\+d)$/;
const pressKeys = /^(Enter|Space)$/;
const leaveKeys = /^(Enter|Tab|Shift\+Tab)$/;

/** Whether an edit may follow a key, by what had the focus when it was pressed. */
export const mayEdit = ({ kind, changed, chosen, naming }: Focus, key: string): boolean => {
  if (/^Control\+(Shift\+)?z$/.test(key)) return true;
  // what is being named is led to as soon as that is done, with or without a name of its own
  if (naming && (leaveKeys.test(key) || key === "Escape")) return true;
  switch (kind) {
    case "field":
      return changed && leaveKeys.test(key);
    case "picker":
      return chosen && key === "Enter";
    case "select":
      return !/^(Escape|Tab|Shift\+Tab)$/.test(key);
    case "node":
    case "nowhere":
      return planKeys.test(key);
    case "control":
    case "option":
      return pressKeys.test(key);
  }
};
