import fc from "fast-check";
import { childrenOf } from "../frame/defaults.js";
import type { Action, Do, Id, Need, Opens, Variation } from "../frame/parts.js";
import type { Within } from "../frame/properties.js";
import type { Frame, Node, PairNode, ScreenNode } from "../frame/types.js";
import type { Edit } from "../edit/edit.js";
import type { View } from "../frame/view.js";
import { anyView } from "./views.js";
import { anyText } from "./text.js";
import { plainFrame } from "../frame/write.js";
import type { NavigationEvent } from "../navigate/event.js";
import { choicesAt } from "../explore/route.js";
import type { State } from "../navigate/state.js";

// random sound frames, events and edits, for the laws

const pathOf = (id: Id, n: number): string | undefined =>
  [undefined, `/${id}`, `/${id}/:x`, `/${id}/:x?`, `/${id}/*`, `/deep/:x/${id}`, `/deep/:y/${id}/:x`][n % 7];

/** A sound frame of up to about 30 nodes: nested stacks, hubs and pairs, overlays, drawers, shared screens, actions of every kind, timers, addresses, and in every other one needs. */
export const anyFrame = (): fc.Arbitrary<Frame> =>
  fc.array(fc.nat(1_000_000), { minLength: 60, maxLength: 160 }).map((dice) => {
    let at = 0;
    const roll = (sides: number): number => dice[at++ % dice.length]! % sides;
    const of = <T>(...values: T[]): T => values[roll(values.length)]!;
    const nodes: Record<Id, Node> = {};
    const stacks: Id[] = [];
    let count = 0;
    const lifted = (): Partial<ScreenNode> => {
      const opens = of<Opens>("push", "sheet", "fullscreen", "dialog", "side");
      const over = roll(3) === 0 && { over: "region" as const };
      const vary: Variation[] = [];
      if (roll(3) === 0) vary.push({ from: "lap", set: { opens: of("push", "dialog", "side") } });
      if (roll(4) === 0) vary.push({ on: ["swipe"], set: { opens: of("push", "sheet", "fullscreen") } });
      return { opens, ...over, ...(vary.length > 0 && { vary }) };
    };
    const screen = (): Id => {
      const id = `s${(count += 1)}`;
      const path = pathOf(id, roll(7));
      nodes[id] = {
        kind: "screen",
        title: `${id} {x}`,
        ...(path && { path }),
        ...(path && roll(4) === 0 && { also: [`/old/${id}/:x`] }),
        ...(path && roll(4) === 0 && { running: of("open", "rebuild") }),
        ...(roll(4) === 0 && { params: { x: of("text", "whole"), q: of("text", "whole") } }),
        ...(roll(4) === 0 && { bars: of("hide", "hide", "keep") }),
        ...(roll(5) === 0 && { header: of("off", "on") }),
        ...(roll(3) === 0 && lifted()),
      };
      return id;
    };
    const container = (depth: number): Id => {
      const id = `n${(count += 1)}`;
      const children: Id[] = [];
      nodes[id] = { kind: "stack", children };
      const over = depth > 0 && roll(3) === 0 ? lifted() : {};
      if (depth > 0 && roll(4) === 0) {
        const half = (): Id => (depth < 3 && roll(2) === 0 ? container(depth + 1) : screen());
        const [list, detail] = [half(), half()];
        nodes[id] = {
          kind: "pair",
          list,
          detail,
          ...(roll(2) === 0 &&
            of<Partial<PairNode>>({ split: true }, { split: false, vary: [{ from: "desk", set: { split: true } }] })),
          ...over,
        };
        return id;
      }
      const size = 1 + roll(4);
      for (let i = 0; i < size; i += 1) children.push(depth < 3 && roll(3) === 0 ? container(depth + 1) : screen());
      if (roll(2) === 0 && depth > 0)
        nodes[id] = {
          kind: "hub",
          children,
          keep: of("live", "place", "fresh"),
          again: of("root", "top", "none"),
          back: of("start", "visited", "leave"),
          limit: 2 + roll(4),
          start: children[roll(children.length)]!,
          strip: roll(3) === 0,
          floating: roll(4) === 0,
          face: of("bar", "top", "drawer", "bar", "drawer", "none"),
          ...(roll(5) === 0 && { faceEdge: "end" as const }),
          vary: [{ from: "lap", set: { face: of("rail", "drawer", "panel") } }],
          extras: [{ id: "a0", label: "More", place: "footer", do: { kind: "open", to: children[0]! } }],
          ...over,
        };
      else {
        const within = of<{ within?: Within }>(
          {},
          {},
          {},
          { within: { bars: "hide" } },
          { within: { header: "off", system: "hide" } },
        );
        const base = of<{ base?: Id | null }>({}, { base: null }, { base: of(...children) });
        nodes[id] = { kind: "stack", children, start: children[roll(children.length)]!, ...base, ...within, ...over };
        stacks.push(id);
      }
      return id;
    };
    const root = container(0);
    const all = Object.keys(nodes).filter((id) => id !== root);
    // a few shared screens, and a loose one
    for (let i = 0; i < roll(3); i += 1) {
      const to = nodes[stacks[roll(stacks.length)]!]!;
      const shared = all.filter(
        (id) =>
          nodes[id]!.kind === "screen" &&
          !Object.values(nodes).some((node) => node.kind !== "stack" && childrenOf(node).includes(id)),
      );
      const id = shared[roll(Math.max(1, shared.length))];
      if (id && to.kind === "stack" && !to.children.includes(id)) to.children.push(id);
    }
    nodes.loose = { kind: "screen" };
    const isNeedy = roll(2) === 0;
    const isAsking = roll(3) === 0;
    const need = (): Need => ({
      ...of<Pick<Need, "fact" | "is">>(
        { fact: "on", is: true },
        { fact: "on", is: false },
        { fact: "role", is: "host" },
        { fact: "role", is: ["guest", "member"] },
      ),
      ...(roll(3) > 0 && { otherwise: of(...all) }),
      ...(roll(2) === 0 && { resume: true }),
    });
    const doing = (deep = 0): Do =>
      of<() => Do>(
        () => ({
          kind: "open",
          to: of(...all, "loose"),
          params: { x: of("1", "{x}", "{draft.name}") },
          how: of("add", "replace", "clear"),
          ...(roll(3) === 0 && { with: { w: "{x}" } }),
          ...(roll(4) === 0 && { as: of("push", "sheet", "fullscreen", "dialog") }),
        }),
        () => ({ kind: "back" }),
        () => ({ kind: "close", give: { got: "{x}" } }),
        () => ({ kind: "root" }),
        () => ({
          kind: "set",
          ...of({ fact: "on", is: roll(2) === 0 }, { fact: "role", is: of("guest", "member", "host") }),
          ...(deep === 0 && { then: doing(1) }),
        }),
        () => ({ kind: "menu" }),
      )();
    for (const id of all) {
      const node = nodes[id]!;
      if (isNeedy && roll(5) === 0) node.needs = Array.from({ length: 1 + roll(2) }, need);
      if (node.kind !== "screen") continue;
      const actions: Action[] = Array.from({ length: roll(3) }, (_, i) => ({
        id: `a${i}`,
        label: "Go",
        place: of("body", "start", "end", "footer"),
        do: doing(),
      }));
      if (actions.length) node.actions = actions;
      const body = roll(5);
      if (body < 2) node.body = { kind: "list", rows: 5, row: "{n}", opens: of(...all), param: "x" };
      if (body === 2) node.body = { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] };
      if (roll(6) === 0) node.after = { ms: 100 * (1 + roll(5)), do: doing() };
      if (roll(6) === 0) node.wants = ["w"];
      if (isAsking && roll(2) === 0)
        node.leave = {
          when: of("draft", "draft", "always"),
          ask: `Leave ${id}?`,
          ...(actions.length > 0 && roll(2) === 0 && { free: ["a0"] }),
        };
    }
    return plainFrame({
      format: "handy-frame/2",
      name: "Any",
      targets: [
        { id: "key", label: "Key" },
        { id: "swipe", label: "Swipe", systemBack: false, edgeSwipe: true },
        { id: "none", label: "None", systemBack: false },
      ],
      address: {
        scheme: "any",
        hosts: ["any.example"],
        ...(roll(2) === 0 && { running: "rebuild" as const }),
        ...(roll(2) === 0 && {
          lost: all.find((id) => nodes[id]!.kind === "screen" && !(nodes[id] as ScreenNode).path),
        }),
      },
      facts: [
        { id: "on", label: "On", lasting: roll(2) === 0 },
        { id: "role", label: "Role", values: ["guest", "member", "host"], launch: of("guest", "host"), lasting: true },
      ],
      relaunch: of("nothing", "place", "everything"),
      root,
      nodes,
    });
  });

const anyId = fc.oneof(
  fc.integer({ min: 1, max: 24 }).chain((n) => fc.constantFrom(`s${n}`, `n${n}`)),
  fc.constantFrom("loose", "nothing", "constructor", "__proto__"),
);
const params = fc.dictionary(fc.constantFrom("x", "constructor", "y"), anyText({ maxLength: 4 }), {
  maxKeys: 2,
});

/** The events a person could cause, by number: `eventAt` makes one of it that applies. */
interface Choice {
  do: "choice";
  n: number;
}

const isChoice = (event: unknown): event is Choice =>
  typeof event === "object" && event !== null && (event as Choice).do === "choice";

/** What `anyEvent` means in a state. */
export const eventAt = (frame: Frame, view: View, state: State, event: unknown): NavigationEvent => {
  if (!isChoice(event)) return event as NavigationEvent;
  if (state.outside) return { do: "return" };
  const events = choicesAt(frame, view, state).map(([first]) => first!);
  return events[event.n % events.length] ?? { do: "back" };
};

/** A link as `anyFrame` has addresses, or none at all. */
export const anyLink = (): fc.Arbitrary<NavigationEvent & { do: "link" }> => {
  const text = fc.oneof(fc.constantFrom("1", "22", "a"), anyText({ maxLength: 4 }));
  const path = fc
    .tuple(fc.integer({ min: 1, max: 24 }), text, text, fc.constantFrom("", "?q=1", "?q=%E4&x=2", "#end", "/"))
    .chain(([n, x, y, end]) => {
      const [first, second] = [encodeURIComponent(x.toWellFormed()), encodeURIComponent(y.toWellFormed())];
      const id = `s${n}`;
      return fc.constantFrom(
        `/${id}${end}`,
        `/${id}/${first}${end}`,
        `/${id}/${first}/${second}${end}`,
        `/deep/${first}/${id}${end}`,
        `/deep/${first}/${id}/${second}${end}`,
        `/old/${id}/${first}${end}`,
        `any://${id}/${first}`,
        `https://any.example/${id}${end}`,
      );
    });
  return fc.record({
    do: fc.constant("link" as const),
    url: fc.oneof({ weight: 6, arbitrary: path }, { weight: 1, arbitrary: anyText() }),
    start: fc.constantFrom("cold" as const, "running" as const),
  });
};

/** Any event: about one in two is one that a person could cause right then, about one in twenty is none at all. */
export const anyEvent = (): fc.Arbitrary<unknown> =>
  fc.oneof(
    { weight: 30, arbitrary: fc.record({ do: fc.constant("choice"), n: fc.nat(1000) }) },
    {
      weight: 5,
      arbitrary: fc.record(
        { do: fc.constant("tap"), action: fc.constantFrom("a0", "a1", "a2"), in: anyId },
        { requiredKeys: ["do", "action"] },
      ),
    },
    {
      weight: 4,
      arbitrary: fc.record(
        { do: fc.constant("pick"), row: fc.integer({ min: 1, max: 6 }), in: anyId },
        { requiredKeys: ["do", "row"] },
      ),
    },
    { weight: 4, arbitrary: fc.record({ do: fc.constant("tab"), to: anyId }) },
    { weight: 3, arbitrary: fc.record({ do: fc.constantFrom("back", "up", "dismiss", "return", "kill", "menu") }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant("menu"), open: fc.boolean() }) },
    { weight: 2, arbitrary: fc.record({ do: fc.constant("answer"), leave: fc.boolean() }) },
    {
      weight: 4,
      arbitrary: fc.record(
        { do: fc.constant("open"), to: anyId, params, how: fc.constantFrom("add", "replace", "clear") },
        { requiredKeys: ["do", "to"] },
      ),
    },
    { weight: 1, arbitrary: fc.record({ do: fc.constant("wait"), ms: fc.integer({ min: 0, max: 2000 }) }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant("scroll"), to: fc.nat(900) }) },
    {
      weight: 2,
      arbitrary: fc.record({
        do: fc.constant("type"),
        field: fc.constantFrom("name", "reply"),
        text: fc.string({ maxLength: 5 }),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({ do: fc.constant("fact"), id: fc.constantFrom("on", "off"), is: fc.boolean() }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        do: fc.constant("fact"),
        id: fc.constant("role"),
        is: fc.constantFrom("guest", "member", "host"),
      }),
    },
    { weight: 4, arbitrary: anyLink() },
    { weight: 2, arbitrary: anyView().map((view) => ({ do: "view", ...view })) },
    { weight: 2, arbitrary: fc.anything() },
  );

/** An edit that names nodes as `anyFrame` does; it may well be refused. */
export const anyEdit = (): fc.Arbitrary<Edit> => {
  const id = fc.integer({ min: 1, max: 24 }).chain((n) => fc.constantFrom(`s${n}`, `n${n}`, "loose"));
  const place = fc.option(id, { nil: null });
  return fc.oneof(
    fc.record({
      kind: fc.constant("add" as const),
      nodes: fc.constant({ fresh: { kind: "screen" as const, title: "Fresh" } }),
      top: fc.constant("fresh"),
      parent: place,
      after: place,
    }),
    fc.record({ kind: fc.constant("remove" as const), id }),
    fc.record({ kind: fc.constant("rename" as const), id, to: fc.constantFrom("other", "renamed", "s1", "9no") }),
    fc.record({ kind: fc.constant("move" as const), id, from: place, to: place, after: place }),
    fc.record({
      kind: fc.constant("set" as const),
      node: id,
      key: fc.constantFrom("title", "bars", "header"),
      value: fc.constantFrom(undefined, "hide", "on"),
    }) as fc.Arbitrary<Edit>,
    fc.record({
      kind: fc.constant("set" as const),
      node: id,
      key: fc.constant("opens"),
      value: fc.constantFrom(undefined, "sheet", "fullscreen", "dialog"),
    }) as fc.Arbitrary<Edit>,
    fc.record({
      kind: fc.constant("setFrame" as const),
      key: fc.constant("name" as const),
      value: fc.string({ minLength: 1, maxLength: 9 }),
    }),
    id.map((from) => ({ kind: "duplicate" as const, id: from, ids: { [from]: "copyOne" }, parent: null, after: null })),
  );
};
