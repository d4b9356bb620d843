import { childrenOf } from "../frame/defaults.js";
import type { Fault } from "../frame/fault.js";
import { indexOf, shareIndex } from "../frame/frame-index.js";
import type { Id } from "../frame/parts.js";
import { segmentsOf } from "../frame/pointer.js";
import { textFaults } from "../frame/text.js";
import type { Frame, Node } from "../frame/types.js";
import { faultsOf } from "../faults/faults.js";
import { Draft, type Forms, type Turn } from "./draft.js";
import type { Edit, PatchOperation } from "./edit.js";
import { Refusal } from "./refusal.js";
import type { Renames } from "./renames.js";
import { carryOut, renamesOf } from "./table.js";

/** What an edit did to a frame. */
export interface Applied extends Turn {
  ok: true;
  /** The nodes that have another id now, old to new. */
  renamed: Renames;
}
/** Why an edit cannot be made. */
export interface Refused {
  ok: false;
  faults: Fault[];
}
/** A frame with an edit made, or why that cannot be. */
export type EditResult = (Applied & { frame: Frame }) | Refused;

/** How edits are applied. */
export interface ApplyOptions {
  /** The edits may come from anywhere: what they put into the frame is looked at first. */
  forms?: Forms | undefined;
  /** Only what leaves the frame sound is made. */
  sound?: boolean;
}

const structure = new Set(["kind", "children", "list", "detail"]);
const addresses = new Set(["kind", "path", "also"]);
const actions = new Set(["kind", "actions", "extras"]);

/** Whether an operation adds or removes a node, changes the root, or one of these keys of a node. */
const changes = ({ path }: PatchOperation, keys: ReadonlySet<string>): boolean => {
  const [, table, , key] = path.split("/");
  return table === "nodes" ? key === undefined || keys.has(key) : table === "root";
};

/** Whether an operation can bring an address into a frame: what goes takes none of another's, and what comes may have none. */
const bringsAddress = (patch: PatchOperation): boolean => {
  if (patch.op === "remove" || !changes(patch, addresses)) return false;
  const { value } = patch;
  const isNode = typeof value === "object" && value !== null && "kind" in value;
  return !isNode || "path" in value || "also" in value;
};

const changesFields = (patches: readonly PatchOperation[]): boolean =>
  patches.some(({ path }) => !path.startsWith("/nodes/"));

/** The nodes that stand in a container otherwise than before: all, where it is another container now. */
const restood = (before: Node | undefined, after: Node | undefined): Id[] => {
  const [from, to] = [before ? childrenOf(before) : [], after ? childrenOf(after) : []];
  if (before?.kind !== after?.kind) return [...from, ...to];
  if (from === to) return [];
  const [old, now] = [new Set(from), new Set(to)];
  return [...from.filter((id) => !now.has(id)), ...to.filter((id) => !old.has(id))];
};

/**
 * What a change of the touched nodes can make unsound: these, what stands otherwise than before because of them, and what
 * that stands in, as of a node that is new, gone or of another kind. A node's soundness hangs on nothing else of those around
 * it, so that a change in a container of thousands does not look at all of them.
 */
const reach = (before: Frame, draft: Draft, touched: ReadonlySet<Id>): Set<Id> => {
  const moved = new Set<Id>();
  for (const id of touched) {
    const [from, to] = [draft.nodeBefore(id), draft.node(id)];
    for (const child of restood(from, to)) moved.add(child);
    if (from?.kind !== to?.kind) moved.add(id);
  }
  const reached = new Set([...touched, ...moved]);
  for (const { parents } of [indexOf(before), indexOf(draft.frame)])
    for (const id of moved) for (const parent of parents.get(id) ?? []) reached.add(parent);
  return reached;
};

/** The screens that are left freely by actions of nodes that were touched: without these they are unsound. */
const leftFreely = ({ nodes }: Frame, touched: ReadonlySet<Id>): Id[] =>
  Object.keys(nodes).filter((id) => {
    const node = nodes[id];
    const free = node?.kind === "screen" ? node.leave?.free : undefined;
    return free?.some((each) => typeof each !== "string" && touched.has(each.in)) ?? false;
  });

/** The faults that an edit would bring into a frame that was sound before it. */
const faultsBrought = (before: Frame, draft: Draft, { patches, touched }: Turn): Fault[] => {
  const texts = patches.flatMap((patch) => ("value" in patch ? textFaults(patch.value, segmentsOf(patch.path)) : []));
  if (texts.length) return texts;
  const reached = changesFields(patches) ? undefined : reach(before, draft, touched);
  if (reached && patches.some((patch) => changes(patch, actions)))
    for (const id of leftFreely(draft.frame, touched)) reached.add(id);
  return faultsOf(draft.frame, reached, patches.some(bringsAddress));
};

/** One edit on a draft; what cannot be made leaves no trace in it. */
const applyTo = (draft: Draft, edit: Edit, sound: boolean): Applied | Refused => {
  const { frame } = draft;
  try {
    carryOut(draft, edit);
  } catch (error) {
    draft.undo();
    if (error instanceof Refusal) return { ok: false, faults: error.faults };
    throw error;
  }
  const renamed = renamesOf(edit);
  const turn = draft.turn(renamed);
  if (!turn.patches.some((patch) => changes(patch, structure))) shareIndex(frame, draft.frame);
  const faults = sound ? faultsBrought(frame, draft, turn) : [];
  if (faults.length) {
    draft.undo();
    return { ok: false, faults };
  }
  draft.next();
  return { ok: true, ...turn, renamed };
};

const applyOne = (frame: Frame, edit: Edit, options: ApplyOptions): EditResult => {
  const draft = new Draft(frame, options.forms);
  const result = applyTo(draft, edit, options.sound ?? false);
  return result.ok ? { ...result, frame: draft.frame } : result;
};

/**
 * Applies an edit whose form is right: the new frame, what it is taken back by, and the change as RFC 6902. The frame
 * given stays as it is. What the edit needs is checked; whether the new frame is sound is for `applySoundly`. With `forms`
 * the edit may come from anywhere: what it puts into the frame is looked at first.
 */
export const applyEdit = (frame: Frame, edit: Edit, forms?: Forms): EditResult => applyOne(frame, edit, { forms });

/** The last that was applied soundly: what is looked at before it is made is made without being worked out once more. */
let last: { frame: Frame; edit: Edit; forms: Forms | undefined; result: EditResult } | null = null;

/** Applies an edit and answers it only if the frame is sound after it; else the faults it would bring. */
export const applySoundly = (frame: Frame, edit: Edit, forms?: Forms): EditResult => {
  if (last?.frame !== frame || last.edit !== edit || last.forms !== forms)
    last = { frame, edit, forms, result: applyOne(frame, edit, { forms, sound: true }) };
  return last.result;
};

/**
 * Applies edits one after another, with one copy of the frame's table for all of them. An edit that cannot be made is passed
 * over; `results` has what became of each.
 */
export const applyEach = (
  frame: Frame,
  edits: readonly Edit[],
  { forms, sound = false }: ApplyOptions = {},
): { frame: Frame; results: (Applied | Refused)[] } => {
  const [first, ...others] = edits;
  if (!first) return { frame, results: [] };
  if (sound && others.length === 0) {
    const result = applySoundly(frame, first, forms);
    if (!result.ok) return { frame, results: [result] };
    const { frame: next, ...applied } = result;
    return { frame: next, results: [applied] };
  }
  const run = new EditRun(frame, { forms, sound });
  const results = edits.map((edit) => run.apply(edit));
  return { frame: results.some(({ ok }) => ok) ? run.frame : frame, results };
};

/** Edits applied one after another, as they come, with one copy of the frame's table for all of them. */
export class EditRun {
  private readonly draft: Draft;
  private readonly sound: boolean;

  constructor(frame: Frame, { forms, sound = false }: ApplyOptions = {}) {
    this.draft = new Draft(frame, forms);
    this.sound = sound;
  }

  /** Applies an edit; one that cannot be made is passed over. */
  apply(edit: Edit): Applied | Refused {
    return applyTo(this.draft, edit, this.sound);
  }

  /** The frame as it is now. Its table changes with the next edit: what is to stay is to be copied before. */
  get frame(): Frame {
    return this.draft.frame;
  }
}
