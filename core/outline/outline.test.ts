import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import { faultsOf } from "../faults/faults.js";
import { eachLead } from "../frame/references.js";
import type { Frame, HubNode, PairNode, ScreenNode, StackNode } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { firstWaysOf } from "../walk/first-ways.js";
import { viewOf } from "../frame/view.js";
import { anyFrame } from "../testing/arbitrary.js";
import { tabbed } from "../testing/frames.js";
import { frameOfLines } from "./build.js";
import { overlayWords, takesColon, writeName } from "./line.js";
import { pasteLines } from "./paste.js";
import { readOutline } from "./read.js";
import { writeOutline } from "./write.js";

const linesOf = (text: string) => {
  const read = readOutline(text);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.lines;
};
const frameOf = (text: string): Frame => {
  const made = frameOfLines(linesOf(text));
  if (!("frame" in made)) throw new Error(JSON.stringify(made));
  return made.frame;
};
const textOf = (frame: Frame): string => writeOutline(frame, [{ id: frame.root, parent: null }]);
const faultsIn = (text: string): string[] => {
  const read = readOutline(text);
  const faults = read.ok ? frameOfLines(read.lines) : read.faults;
  return "frame" in faults ? [] : faults.map(({ line, column, received }) => `${line}:${column} ${received}`);
};

describe("a list of names", () => {
  test("makes screens that open those beneath them, all in one stack", () => {
    const { nodes } = frameOf("Plots\n  Plot {plot} /plots/:plot\n    Photo\n  Help\n");
    expect((nodes.app as StackNode).children).toEqual(["plots", "plot", "photo", "help"]);
    expect(nodes.plots).toEqual({
      kind: "screen",
      title: "Plots",
      body: { kind: "list", rows: 12, row: "Plot {n}", opens: "plot", param: "plot" },
      actions: [{ id: "help", label: "Help", place: "body", do: { kind: "open", to: "help" } }],
    });
    expect((nodes.plot as ScreenNode).actions?.map(({ do: act }) => act)).toEqual([{ kind: "open", to: "photo" }]);
  });
  test("makes tabs of what is beneath a hub, each a stack that starts with a screen of its name", () => {
    const { nodes } = frameOf("Main =\n  Plots *leaf /plots\n    Plot\n  Diary\n  Me . !\n");
    expect(nodes.main).toMatchObject({ kind: "hub", children: ["plotsTab", "diaryTab", "me"], start: "me" });
    expect(nodes.plotsTab).toEqual({
      kind: "stack",
      title: "Plots",
      tab: { icon: "leaf" },
      children: ["plots", "plot"],
    });
    expect(nodes.plots).toMatchObject({ kind: "screen", path: "/plots" });
    expect(nodes.me).toMatchObject({ kind: "screen", tab: {} });
  });
  test("makes pairs, plain stacks, overlays that can be shut, and screens that stand in two places", () => {
    const { nodes } = frameOf(
      [
        "Garden |",
        "  Beds",
        "  Bed {bed} /beds/:bed .",
        "Tools:",
        "  Spade",
        "    Log in > ^fullscreen",
        "      Name",
        "  Photo ^",
        "Bin > #binBox>bin",
        "  Spade &spade",
      ].join("\n"),
    );
    expect(nodes.garden as PairNode).toMatchObject({ list: "bedsStack", detail: "bed" });
    expect((nodes.beds as ScreenNode).body).toMatchObject({ opens: "bed", param: "bed" });
    expect(nodes.tools).toMatchObject({ kind: "stack", children: ["spade", "logInStack", "photo"] });
    expect(nodes.logInStack).toMatchObject({ opens: "fullscreen", children: ["logIn", "name"] });
    for (const id of ["logIn", "photo"])
      expect((nodes[id] as ScreenNode).actions?.map(({ do: act }) => act.kind)).toContain("close");
    expect(nodes.binBox).toMatchObject({ children: ["bin", "spade"] });
  });
  test("is taken as it is pasted: bullets, numbers, tabs and empty lines mean nothing", () => {
    expect(textOf(frameOf("- Home\n\n\t* Feed\n\t* Post\r\n1. Help\n"))).toBe("Home\n  Feed\n  Post\nHelp\n");
  });
  test("keeps any name, in quotes where it would be read as something else", () => {
    expect(frameOf('"Wait ."\n"- 5 :"\nHome / Away\n"say \\"hi\\""').nodes.app).toMatchObject({
      children: ["wait", "screen", "homeAway", "sayHi"],
    });
    expect(writeName("a = b")).toBe("a = b");
    expect(writeName("a =")).toBe('"a ="');
  });
  test("runs at once: every line is reached by hand", () => {
    const frame = frameOf("Main =\n  Plots\n    Plot /plots/:plot\n      Photo ^\n  Diary\n    Entry\nAbout\n");
    expect(faultsOf(frame)).toEqual([]);
    const reached = firstWaysOf(frame, viewOf(frame, {})).to;
    expect(Object.keys(reached).sort()).toEqual(["diary", "entry", "photo", "plot", "plots"]);
  });
  test("says with line and column all that is wrong", () => {
    expect(faultsIn("Home\n    Feed\n  Post")).toEqual(["3:3 a line that begins 2 in"]);
    expect(faultsIn("Home ^popup\nPlots /plots/:1x\nBin #Bin *leaf")).toEqual([
      '1:6 "^popup"',
      '2:7 "/plots/:1x"',
      '3:5 the id "Bin"',
    ]);
    expect(faultsIn("Two |\n  One\nEmpty =\nX &nobody\nMain = /main\n  A . !\n    B\nC !")).toEqual([
      "1:1 a pair with 1 lines beneath it",
      "3:1 a hub with nothing beneath it",
      "4:1 &nobody, which is neither before it in the list nor in the frame",
      "5:1 the address /main for a hub",
      "6:3 lines beneath a screen that is a tab or a pane by itself",
      "8:1 ! on what is no tab",
    ]);
    expect(faultsIn("A #one\nB #one")).toEqual(["2:1 the id one again"]);
    expect(faultsIn("= ^")).toEqual(["1:1 marks without a name"]);
    expect(faultsIn("A ^ ^dialog")).toEqual(['1:5 "^dialog" as a second mark of its sort']);
    expect(faultsIn(" \n")).toEqual(["1:1 no name"]);
    expect(faultsIn('"\\x" =')).toHaveLength(1);
    expect(faultsIn(Array.from({ length: 60 }, (_, i) => `${" ".repeat(i)}n`).join("\n"))).toHaveLength(1);
  });
});

describe("a list put into a frame", () => {
  const frame = plainFrame(tabbed());
  const pasted = (text: string, parent: string, after: string | null, opener?: string): Frame => {
    const result = pasteLines(frame, linesOf(text), { parent, after, ...(opener && { opener }) });
    if (!result.ok) throw new Error(JSON.stringify(result.faults));
    const applied = applySoundly(frame, result.edit);
    if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
    return applied.frame;
  };
  test("goes behind what is chosen, in order, under ids that are free", () => {
    const { nodes } = pasted("Item\nDeep\n  New\n", "aTab", "a");
    expect((nodes.aTab as StackNode).children).toEqual(["a", "item2", "deep2", "new", "item", "deep"]);
  });
  test("makes tabs in a hub, and ways from the screen it was opened at", () => {
    expect((pasted("Extra\n  More\n", "home", "c").nodes.home as HubNode).children.at(-1)).toBe("extraTab");
    const { nodes } = pasted("Note /note/:note\nForm &form\n", "aTab", "deep", "deep");
    expect((nodes.deep as ScreenNode).actions?.map(({ do: act }) => act)).toContainEqual({ kind: "open", to: "form" });
    expect((nodes.deep as ScreenNode).body).toMatchObject({ opens: "note" });
    expect((nodes.aTab as StackNode).children).toEqual(["a", "item", "deep", "note", "form"]);
  });
});

describe("the ways of a list", () => {
  const frame = plainFrame(tabbed());
  /** Every way of what a list made, as `from → to`; those there were before left out. */
  const waysOf = (text: string, opener: string | null): string[] => {
    const result = pasteLines(frame, linesOf(text), { parent: "aTab", after: "a", opener });
    if (!result.ok) throw new Error(JSON.stringify(result.faults));
    const applied = applySoundly(frame, result.edit);
    if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
    return Object.entries(applied.frame.nodes).flatMap(([from, node]) => {
      const ways: string[] = [];
      eachLead(node, (to) => to in result.built.nodes && ways.push(`${from} → ${to}`));
      return ways;
    });
  };
  test("lead to a line from the one it is beneath, and from nowhere else", () => {
    expect(waysOf("A\n  B\n    C2\n", "a").sort()).toEqual(["a → a2", "a2 → b2", "b2 → c2"]);
    expect(waysOf("Log /log\n  Entry /log/:entry\n    Edit /log/:entry/edit\n", "deep").sort()).toEqual([
      "deep → log",
      "entry → edit",
      "log → entry",
    ]);
    expect(waysOf("A\n  B\n", null)).toEqual(["a2 → b2"]);
    expect(waysOf("Flow > ^fullscreen\n  One\n    Two\nNote\n", "a").sort()).toEqual([
      "a → flowStack",
      "a → note",
      "flow → one",
      "one → two",
    ]);
  });
  test("are one for each line, whatever the list", () => {
    fc.assert(
      fc.property(fc.array(fc.nat(3), { minLength: 1, maxLength: 12 }), (steps) => {
        // every line at most one further in than the one before
        let depth = 0;
        const depths = steps.map((step, i) => (depth = i === 0 ? 0 : Math.min(depth + 1, step)));
        const text = depths.map((deep, i) => `${"  ".repeat(deep)}Line ${i}\n`).join("");
        const expected = depths.map((deep, i) => {
          const above = depths.findLastIndex((other, j) => j < i && other === deep - 1);
          return `${deep === 0 ? "a" : `line${above}`} → line${i}`;
        });
        expect(waysOf(text, "a").sort()).toEqual(expected.sort());
      }),
      { numRuns: 200 },
    );
  });
});

interface Tree {
  name: string;
  kind: number;
  overlay: string | null;
  icon: boolean;
  leave: string | null;
  beneath: Tree[];
}

const anyName = fc.oneof(
  fc.constantFrom("Home", "Plots", "Item {item}", "Ä & Ö", "App", "- dash", "a =", "x:", "7", "Home /", '"q"'),
  fc.string({ maxLength: 12 }),
);
const anyTree = fc.letrec<{ tree: Tree }>((tie) => ({
  tree: fc.record({
    name: anyName,
    kind: fc.nat(7),
    overlay: fc.option(fc.constantFrom(...Object.keys(overlayWords)), { freq: 4 }),
    icon: fc.boolean(),
    leave: fc.option(fc.constantFrom("", "always"), { freq: 4 }),
    beneath: fc.oneof({ maxDepth: 4 }, fc.constant<Tree[]>([]), fc.array(tie("tree"), { maxLength: 4 })),
  }),
})).tree;

/** A list as it is written: nothing stands in it that goes without saying. */
const written = (trees: readonly Tree[], within: "stack" | "hub" | "pair", depth: number): string[] =>
  trees.flatMap((tree) => {
    const kinds = ["", "", "", tree.beneath.length ? "=" : "", tree.beneath.length === 2 ? "|" : "", ">", ":", "."];
    let kind = kinds[tree.kind]!;
    if (kind === ":" && tree.beneath.length === 0) kind = "";
    if (kind === ">" && within !== "stack") kind = "";
    if (kind === "." && (within === "stack" || tree.beneath.length)) kind = "";
    const name = writeName(tree.name.trim());
    const marks = [
      kind === ":" && takesColon(tree.name.trim()) ? "" : kind,
      tree.overlay === null ? "" : `^${tree.overlay}`,
      within === "hub" && tree.icon ? "*leaf" : "",
      tree.leave === null || ["=", "|", ":"].includes(kind) ? "" : `?${tree.leave}`,
    ].filter((mark) => mark !== "");
    const inner = kind === "=" ? "hub" : kind === "|" ? "pair" : "stack";
    const colon = kind === ":" && takesColon(tree.name.trim()) ? ":" : "";
    return ["  ".repeat(depth) + [name + colon, ...marks].join(" "), ...written(tree.beneath, inner, depth + 1)];
  });

test("a stack with a screen of its name is written the way that needs no ids", () => {
  for (const text of ["Home\n  App >\n    Next\n", "Home\n  App:\n    App\n", "Main =\n  App\n  Bin #box>bin\n"])
    expect(textOf(frameOf(text))).toBe(text);
});
test("text to frame to text is the same text, and the frame is sound", () => {
  fc.assert(
    fc.property(fc.array(anyTree, { minLength: 1, maxLength: 4 }), (trees) => {
      const text = written(trees, "stack", 0).join("\n") + "\n";
      const frame = frameOf(text);
      expect(textOf(frame)).toBe(text);
      expect(faultsOf(frame)).toEqual([]);
    }),
    { numRuns: 300 },
  );
});
test("any frame is written as a list that reads as the same list again", () => {
  fc.assert(
    fc.property(anyFrame(), (frame) => {
      const text = textOf(frame);
      expect(textOf(frameOf(text))).toBe(text);
    }),
    { numRuns: 300 },
  );
});
test("any text is read or refused, and never breaks", () => {
  const words = fc.constantFrom("\n", "\n  ", "\t", " ", "=", "|", ":", ">", ".", "^", "#a", "&a", "/x/:y", '"', "A");
  fc.assert(
    fc.property(fc.array(fc.oneof(words, fc.string({ maxLength: 3 })), { maxLength: 40 }), (parts) => {
      const read = readOutline(parts.join(""));
      const faults = read.ok ? frameOfLines(read.lines) : read.faults;
      if ("frame" in faults)
        expect(faultsOf(faults.frame).filter(({ pointer }) => !pointer.includes("path"))).toEqual([]);
      else for (const { line, column } of faults) expect(line > 0 && column > 0).toBe(true);
    }),
    { numRuns: 500 },
  );
});
