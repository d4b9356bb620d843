import { applySoundly } from "../edit/apply.js";
import { clipOf, pasteClip, readClip } from "../edit/clip.js";
import { frameOf, hub, opening, screen, stack } from "../testing/frames.js";
import { iconsOf, iconUses, mapIcons } from "./icon-names.js";
import { iconAsSvg, iconNameFrom, isOwnIcon, type OwnIcon } from "./own-icon.js";
import type { Frame } from "./types.js";
import { plainFrame } from "./write.js";

const leaf: OwnIcon = { box: 24, paths: ["M2 2h20v20z"] };
const other: OwnIcon = { box: 24, paths: ["M2 2h9v9z"], line: 2, ends: "round" };

/** Two tabs and a heading that name icons, in every place that can. */
const named = (icons: Frame["icons"]): Frame =>
  plainFrame(
    frameOf(
      {
        app: stack(["tabs"]),
        tabs: hub(["a", "b"], {
          heading: { title: "Garden", icon: "mark" },
          extras: [{ ...opening("b"), icon: "extra" }],
          vary: [{ from: "lap", set: { heading: { title: "Garden", icon: "wide-mark" } } }],
        }),
        a: screen({
          tab: { icon: "leaf", activeIcon: "leaf-full" },
          actions: [{ ...opening("b"), icon: "leaf" }],
          vary: [{ from: "lap", set: { tab: { icon: "wide" } } }],
        }),
        b: screen({ tab: { icon: "plant" } }),
      },
      icons && { icons },
    ),
  );

describe("icons of the app's own", () => {
  test("are named in tabs, headings, actions and extras, in every view and in some", () => {
    const { nodes } = named({ leaf });
    expect(iconsOf(nodes.a!)).toEqual(new Set(["leaf", "leaf-full", "wide"]));
    expect(iconsOf(nodes.tabs!)).toEqual(new Set(["mark", "extra", "wide-mark"]));
    expect(iconUses(named({ leaf })).get("leaf")).toEqual(["a"]);
    expect(mapIcons(nodes.a!, (name) => name)).toEqual(nodes.a);
  });
  test("go along with the parts that name them, and those alone", () => {
    const clip = clipOf(named({ leaf, unused: other }), [{ id: "a", parent: "tabs" }]);
    expect(clip.icons).toEqual({ leaf });
    expect(readClip(JSON.stringify(clip))).toEqual(clip);
    const into = named(undefined);
    const made = pasteClip(into, clip, { parent: "tabs", after: null })!;
    const result = applySoundly(into, made.edit);
    expect(result.ok && result.frame.icons).toEqual({ leaf });
  });
  test("get another name where that is another icon, and are not doubled where it is the same", () => {
    const clip = clipOf(named({ leaf }), [{ id: "a", parent: "tabs" }]);
    const pastedInto = (icons: Frame["icons"]) => {
      const into = named(icons);
      const result = applySoundly(into, pasteClip(into, clip, { parent: "tabs", after: null })!.edit);
      if (!result.ok) throw new Error(JSON.stringify(result.faults));
      return { icons: result.frame.icons, tab: result.frame.nodes.a2!.tab };
    };
    expect(pastedInto({ leaf: other })).toEqual({
      icons: { leaf: other, "leaf-2": leaf },
      tab: { icon: "leaf-2", activeIcon: "leaf-full" },
    });
    expect(pastedInto({ sprig: leaf })).toEqual({
      icons: { sprig: leaf },
      tab: { icon: "sprig", activeIcon: "leaf-full" },
    });
  });
  test("that are no icons are left out of what is pasted", () => {
    const clip = {
      ...clipOf(named({ leaf }), [{ id: "a", parent: "tabs" }]),
      icons: { leaf, bad: { box: 1 }, Up: leaf },
    };
    expect(readClip(JSON.stringify(clip))!.icons).toEqual({ leaf });
  });
  test.each([
    ["Our Leaf (final).svg", "our-leaf-final"],
    ["Blüte.svg", "blute"],
    ["24px.svg", "px"],
    ["日.svg", "icon"],
    ["leaf.svg", "leaf-3"],
  ])("a file called %s gives the name %s", (file, name) => {
    expect(iconNameFrom(file, (taken) => ["leaf", "leaf-2"].includes(taken))).toBe(name);
  });
  test("are path data and nothing else", () => {
    expect(isOwnIcon(other)).toBe(true);
    for (const wrong of [
      null,
      [],
      {},
      { ...leaf, box: 0 },
      { ...leaf, paths: [] },
      { ...leaf, paths: ['M0 0"/><script>'] },
      { ...leaf, run: 1 },
    ])
      expect(isOwnIcon(wrong)).toBe(false);
    expect(iconAsSvg(other)).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24" fill="none" stroke="#000" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"><path d="M2 2h9v9z"/></svg>',
    );
  });
});
