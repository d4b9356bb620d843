import { readPattern } from "../frame/pattern.js";
import { called } from "../frame/names.js";
import { bandsOf, childrenOf, factsOf, factValues, targetsOf } from "../frame/defaults.js";
import { type Fault, shown } from "../frame/fault.js";
import { indexOf, mostDepth } from "../frame/frame-index.js";
import { pointer } from "../frame/pointer.js";
import { referencesOf } from "../frame/references.js";
import type { Action, Do, FactValue, Id, Only } from "../frame/parts.js";
import type { Frame, HubNode, Node, ScreenNode } from "../frame/types.js";

type Report = (fault: Fault) => void;
type At = (string | number)[];

const has = (frame: Frame, id: Id): boolean => Object.hasOwn(frame.nodes, id);

/** Reports a name that is in none of the frame's tables. */
const named = (report: Report, at: At, received: string, known: readonly string[], what: string): void => {
  if (known.includes(received)) return;
  report({
    pointer: pointer(...at),
    received: shown(received),
    expected: known.length ? `one of the ${what}s ${shown(known.join(", "), 80)}` : `a ${what}, of which there is none`,
    remedy: `Name a ${what} that exists, or add it.`,
  });
};

const dangling = (report: Report, at: At, received: Id, what = "a node of the frame"): void =>
  report({
    pointer: pointer(...at),
    received: `${shown(received)}, which is not in nodes`,
    expected: `the id of ${what}`,
    remedy: "Correct the id, add the node, or take the reference out.",
  });

const factIs = (frame: Frame, report: Report, at: At, id: Id, values: FactValue[]): void => {
  const fact = factsOf(frame).find((candidate) => candidate.id === id);
  if (!fact)
    return named(
      report,
      at,
      id,
      factsOf(frame).map((f) => f.id),
      "fact",
    );
  for (const value of values)
    if (!factValues(fact).includes(value))
      report({
        pointer: pointer(...at),
        received: `${shown(value)} for the fact ${id}`,
        expected: `one of ${factValues(fact)
          .map((v) => shown(v))
          .join(", ")}`,
        remedy: "Use one of the fact's values, or add it to them.",
      });
};

const onlyFaults = (frame: Frame, report: Report, at: At, only: Only | undefined): void => {
  if (!only) return;
  const targets = targetsOf(frame).map((target) => target.id);
  const bands = bandsOf(frame).map((band) => band.id);
  only.targets?.forEach((id, i) => named(report, [...at, "targets", i], id, targets, "target"));
  only.bands?.forEach((id, i) => named(report, [...at, "bands", i], id, bands, "band"));
  for (const [id, value] of Object.entries(only.facts ?? {})) factIs(frame, report, [...at, "facts", id], id, [value]);
};

const doFaults = (frame: Frame, report: Report, at: At, value: Do): void => {
  if (value.kind !== "set") return;
  factIs(frame, report, [...at, "fact"], value.fact, [value.is]);
  if (value.then) doFaults(frame, report, [...at, "then"], value.then);
};

const repeats = (report: Report, at: At, ids: readonly string[], what: string): void => {
  const seen = new Set<string>();
  ids.forEach((id, i) => {
    if (seen.has(id))
      report({
        pointer: pointer(...at, i),
        received: `${shown(id)} a second time`,
        expected: `each ${what} once`,
        remedy: `Give it another id, or take it out.`,
      });
    seen.add(id);
  });
};

const actionFaults = (frame: Frame, report: Report, at: At, actions: Action[] | undefined): void => {
  if (!actions) return;
  repeats(
    report,
    at,
    actions.map((action) => action.id),
    "action id",
  );
  actions.forEach((action, i) => {
    onlyFaults(frame, report, [...at, i, "only"], action.only);
    doFaults(frame, report, [...at, i, "do"], action.do);
  });
};

const screenFaults = (frame: Frame, report: Report, id: Id, node: ScreenNode): void => {
  const at = ["nodes", id];
  const patterns: [At, string][] = node.path === undefined ? [] : [[[...at, "path"], node.path]];
  node.also?.forEach((text, i) => patterns.push([[...at, "also", i], text]));
  for (const [where, text] of patterns) {
    const result = readPattern(text);
    if (!result.ok)
      report({
        pointer: pointer(...where),
        received: shown(text),
        expected: "an address pattern such as /plots/:plot",
        remedy: `Correct it: ${result.reason}.`,
      });
  }
  actionFaults(frame, report, [...at, "actions"], node.actions);
  if (node.after) doFaults(frame, report, [...at, "after", "do"], node.after.do);
  if (node.body?.kind === "form")
    repeats(
      report,
      [...at, "body", "fields"],
      node.body.fields.map((field) => field.id),
      "field id",
    );
  if (
    node.linkIn !== undefined &&
    has(frame, node.linkIn) &&
    !(indexOf(frame).parents.get(id) ?? []).includes(node.linkIn)
  )
    report({
      pointer: pointer(...at, "linkIn"),
      received: shown(node.linkIn),
      expected: "a stack that this screen stands in",
      remedy: "Name one of its stacks, or put the screen there.",
    });
};

const hubFaults = (frame: Frame, report: Report, id: Id, node: HubNode): void => {
  const at = ["nodes", id];
  const bands = bandsOf(frame).map((band) => band.id);
  const faces = (where: At, map: object) => {
    for (const band of Object.keys(map)) named(report, [...where, band], band, bands, "band");
  };
  faces([...at, "faces"], node.faces ?? {});
  for (const [target, map] of Object.entries(node.facesOn ?? {})) {
    named(
      report,
      [...at, "facesOn", target],
      target,
      targetsOf(frame).map((t) => t.id),
      "target",
    );
    faces([...at, "facesOn", target], map);
  }
  actionFaults(frame, report, [...at, "extras"], node.extras);
};

const childFaults = (frame: Frame, report: Report, id: Id, node: Exclude<Node, ScreenNode>): void => {
  const at = ["nodes", id];
  const children = childrenOf(node);
  const { parents } = indexOf(frame);
  const name = (node: Id): string => called(frame, node);
  const where = (i: number): At =>
    node.kind === "pair" ? [...at, i === 0 ? "list" : "detail"] : [...at, "children", i];

  if (node.kind === "pair" ? children.length < 2 : children.length === 0)
    report({
      pointer: node.kind === "pair" ? pointer(...at) : pointer(...at, "children"),
      received: node.kind === "pair" ? "a pair without both its sides" : "no children, so no start",
      expected: node.kind === "pair" ? "a list and a detail" : "at least one child to start with",
      remedy: `Put a screen into ${name(id)}, or take it out.`,
    });
  if (node.kind !== "pair") {
    repeats(report, [...at, "children"], children, "child");
    for (const key of ["start", "base"] as const) {
      const named = key in node ? (node as { start?: Id; base?: Id | null })[key] : undefined;
      if (named !== undefined && named !== null && !children.includes(named))
        report({
          pointer: pointer(...at, key),
          received: shown(named),
          expected: `one of its children ${shown(children.map(name).join(", "), 80)}`,
          remedy: `Name one of them, or leave ${key} out for the first.`,
        });
    }
  }
  children.forEach((child, i) => {
    if (!has(frame, child)) return dangling(report, where(i), child);
    const standsIn = parents.get(child) ?? [];
    const screen = frame.nodes[child]!.kind === "screen";
    const others = standsIn.filter((parent) => parent !== id);
    if (child === frame.root)
      report({
        pointer: pointer(...where(i)),
        received: `the root ${name(child)}`,
        expected: "a node other than the root",
        remedy: "The root contains all the others and stands in nothing: take it out here.",
      });
    else if (others.length > 0 && !(screen && [id, ...others].every((parent) => frame.nodes[parent]?.kind === "stack")))
      report({
        pointer: pointer(...where(i)),
        received: `${name(child)}, which stands in ${others.map(name).join(", ")} too`,
        expected: screen ? "a shared screen only in stacks" : "each container in one place",
        remedy: `Leave it in one place${screen ? ", or let all its places be stacks" : ""}.`,
      });
  });
  if (node.kind === "hub") hubFaults(frame, report, id, node);
};

/** Reports a container that contains itself, or nests too deep, going up from `id`. */
const loopFaults = (frame: Frame, report: Report, id: Id): void => {
  const { parents } = indexOf(frame);
  const seen = new Set<Id>();
  for (let at: Id | undefined = id; at !== undefined; at = parents.get(at)?.[0]) {
    if (seen.has(at)) {
      if (at === id)
        report({
          pointer: pointer("nodes", id, "children"),
          received: `a loop: ${shown(
            [...seen]
              .reverse()
              .map((id) => called(frame, id))
              .join(" in "),
            80,
          )}`,
          expected: "no container inside itself",
          remedy: "Take one of them out of the other.",
        });
      return;
    }
    seen.add(at);
    if (seen.size > mostDepth + 1) return;
  }
};

const commonFaults = (frame: Frame, report: Report, id: Id, node: Node): void => {
  const at = ["nodes", id];
  const parents = indexOf(frame).parents.get(id) ?? [];
  if (node.tab && parents.length > 0 && !parents.some((parent) => frame.nodes[parent]?.kind === "hub"))
    report({
      pointer: pointer(...at, "tab"),
      received: `a tab in ${parents.map((parent) => called(frame, parent)).join(", ")}`,
      expected: "tab only on a child of a hub",
      remedy: "Take tab out, or put the node into a hub.",
    });
  onlyFaults(frame, report, [...at, "tab", "only"], node.tab?.only);
  const targets = targetsOf(frame).map((target) => target.id);
  for (const target of Object.keys(node.opensOn ?? {}))
    named(report, [...at, "opensOn", target], target, targets, "target");
  for (const target of Object.keys(node.tab?.iconOn ?? {}))
    named(report, [...at, "tab", "iconOn", target], target, targets, "target");
  const bands = bandsOf(frame).map((band) => band.id);
  for (const band of Object.keys(node.opensIn ?? {})) named(report, [...at, "opensIn", band], band, bands, "band");
  if (node.kind === "pair" && node.splitFrom !== undefined)
    named(report, [...at, "splitFrom"], node.splitFrom, bands, "band");
  node.needs?.forEach((need, i) =>
    factIs(frame, report, [...at, "needs", i], need.fact, Array.isArray(need.is) ? need.is : [need.is]),
  );
  for (const [kind, motion] of Object.entries(node.motion ?? {}))
    named(report, [...at, "motion", kind], motion, Object.keys(frame.motions ?? {}), "motion");
  for (const reference of referencesOf(node))
    if (!has(frame, reference.to)) dangling(report, [...at, ...reference.at], reference.to);
};

const nodeFaults = (frame: Frame, report: Report, id: Id): void => {
  const node = frame.nodes[id]!;
  commonFaults(frame, report, id, node);
  if (node.kind === "screen") screenFaults(frame, report, id, node);
  else {
    childFaults(frame, report, id, node);
    loopFaults(frame, report, id);
  }
};

const depthFaults = (frame: Frame, report: Report): void => {
  for (const [id, way] of indexOf(frame).ways)
    if (way.length >= mostDepth)
      report({
        pointer: pointer("nodes", id),
        received: `a container ${way.length} deep`,
        expected: `at most ${mostDepth - 1} containers inside one another`,
        remedy: "Lay the structure out flatter: a stack holds any number of screens.",
      });
};

interface Claim {
  id: Id;
  at: At;
  text: string;
}

const clash = (frame: Frame, report: Report, own: Claim, other: Claim): void =>
  report({
    pointer: pointer("nodes", own.id, ...own.at),
    received: `${own.text}, which matches the same addresses as ${other.text} of ${called(frame, other.id)}`,
    expected: "an address that leads to one screen",
    remedy: "Give one of the two a word of its own.",
  });

const claimsOf = (frame: Frame, id: Id): Claim[] => {
  const node = frame.nodes[id];
  if (node?.kind !== "screen" || (node.path === undefined && !node.also)) return [];
  const claims: Claim[] = node.path === undefined ? [] : [{ id, at: ["path"], text: node.path }];
  node.also?.forEach((text, i) => claims.push({ id, at: ["also", i], text }));
  return claims;
};

/** Of two screens that clash, the later one is told; with `touched`, the one that was changed. */
const clashFaults = (frame: Frame, report: Report, touched?: ReadonlySet<Id>): void => {
  const { ids } = indexOf(frame);
  const held = new Map<string, Claim>();
  const take = (id: Id, holds: boolean): void => {
    for (const claim of claimsOf(frame, id)) {
      const result = readPattern(claim.text);
      if (!result.ok) continue;
      for (const shape of result.pattern.shapes) {
        const first = held.get(shape);
        if (!first) holds && held.set(shape, claim);
        else if (first.id !== id || first.text !== claim.text)
          touched && !touched.has(id) ? clash(frame, report, first, claim) : clash(frame, report, claim, first);
      }
    }
  };
  for (const id of touched ?? ids) take(id, true);
  if (touched && held.size) for (const id of ids) if (!touched.has(id)) take(id, false);
};

const fieldFaults = (frame: Frame, report: Report): void => {
  const lists = ["targets", "bands", "facts", "journeys", "linkCases"] as const;
  for (const key of lists)
    repeats(
      report,
      [key],
      (frame[key] ?? []).map((item) => item.id),
      "id",
    );
  const bands = bandsOf(frame);
  if (bands.length === 0 || bands[0]!.from !== 0)
    report({
      pointer: "/bands",
      received: bands.length ? `a narrowest band from ${bands[0]!.from}` : "no band",
      expected: "the narrowest band from 0",
      remedy: "Let one band start at 0, so that every width has a band.",
    });
  repeats(
    report,
    ["bands"],
    bands.map((band) => String(band.from)),
    "start of a band",
  );
  if (frame.targets && frame.targets.length === 0)
    report({
      pointer: "/targets",
      received: "no target",
      expected: "at least one",
      remedy: "Add a target, or leave targets out.",
    });
  frame.facts?.forEach((fact, i) => {
    if (fact.launch !== undefined) factIs(frame, report, ["facts", i, "launch"], fact.id, [fact.launch]);
  });
  const motions = Object.keys(frame.motions ?? {});
  for (const [kind, id] of Object.entries(frame.motion ?? {})) named(report, ["motion", kind], id, motions, "motion");
  if (frame.calm !== undefined) named(report, ["calm"], frame.calm, motions, "motion");
  if (frame.address?.lost !== undefined) {
    const lost = frame.address.lost;
    if (!has(frame, lost)) dangling(report, ["address", "lost"], lost, "a screen");
    else if (frame.nodes[lost]!.kind !== "screen")
      report({
        pointer: "/address/lost",
        received: `the ${frame.nodes[lost]!.kind} ${shown(lost)}`,
        expected: "a screen",
        remedy: "Name a screen.",
      });
  }
  if (frame.address?.lost !== undefined && frame.nodes[frame.address.lost]?.kind === "screen") {
    const lost = frame.nodes[frame.address.lost] as ScreenNode;
    const result = lost.path === undefined ? null : readPattern(lost.path);
    if (result?.ok && result.pattern.names.length > 0 && !result.pattern.segments.some((s) => s.kind === "rest"))
      report({
        pointer: "/address/lost",
        received: `${shown(frame.address.lost)}, whose address needs ${result.pattern.names.join(", ")}`,
        expected: "a screen that needs nothing from the link",
        remedy: "Name a screen without params in its address.",
      });
  }
};

/**
 * The faults of meaning of a frame whose form is right: what its names and its nesting say that cannot be.
 * With `touched`, only what may have come from a change of those nodes; a change of the frame's own fields wants all.
 * Clashes of addresses are looked for unless it is known that no address changed.
 */
export const faultsOf = (frame: Frame, touched?: ReadonlySet<Id>, addresses = true): Fault[] => {
  const faults: Fault[] = [];
  const report: Report = (fault) => void faults.push(fault);
  if (!has(frame, frame.root)) dangling(report, ["root"], frame.root, "a stack");
  else if (frame.nodes[frame.root]!.kind !== "stack")
    report({
      pointer: "/root",
      received: `the ${frame.nodes[frame.root]!.kind} ${shown(frame.root)}`,
      expected: "a stack",
      remedy: "Name a stack: it is what everything else stands in.",
    });
  if (!touched) fieldFaults(frame, report);
  for (const id of touched ?? Object.keys(frame.nodes)) if (has(frame, id)) nodeFaults(frame, report, id);
  depthFaults(frame, report);
  if (addresses) clashFaults(frame, report, touched);
  return faults;
};
