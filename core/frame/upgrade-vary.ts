import { bandsOf } from "./defaults.js";
import { equal } from "./equal.js";
import type { Band, Id } from "./parts.js";
import { isRaw, isText, isTextMap, isTexts, type Raw } from "./raw.js";
import type { Upgrade } from "./upgrade-step.js";

// Format 1 said in six ways what differs by view: each of them becomes entries of `vary`, in the order in which the last that
// applies is the one that held.

type Entry = Raw & { set: Raw };
/** What one of the old ways becomes: the node's own value, if it has one, and entries. */
interface Said {
  own?: Raw;
  entries: Entry[];
}

/** The bands of a frame in format 1, narrowest first; null where they cannot be read. */
const bandsIn = (frame: Raw): readonly Band[] | null => {
  const { bands } = frame;
  if (bands === undefined) return bandsOf({});
  const isBand = (band: unknown): band is Band => isRaw(band) && isText(band.id) && typeof band.from === "number";
  return Array.isArray(bands) && bands.length > 0 && bands.every(isBand) ? bandsOf({ bands }) : null;
};

/** From a band up: no condition at all from the narrowest. */
const upFrom = (bands: readonly Band[], band: Id): { from?: Id } => (band === bands[0]?.id ? {} : { from: band });
const has = (entry: object): boolean => Object.keys(entry).length > 0;

/** What holds from each of some bands on, on all targets or on some: what has no condition is the node's own. */
const steps = (
  bands: readonly Band[],
  key: string,
  tables: readonly { on?: Id; table: Readonly<Record<Id, string>> }[],
): Said => {
  const said: Said = { entries: [] };
  for (const { id } of bands)
    for (const { on, table } of tables) {
      const value = table[id];
      if (value === undefined) continue;
      const when = { ...(on !== undefined && { on: [on] }), ...upFrom(bands, id) };
      if (has(when)) said.entries.push({ ...when, set: { [key]: value } });
      else said.own = { [key]: value };
    }
  return said;
};

const namesBands = (bands: readonly Band[], table: object): boolean =>
  Object.keys(table).every((id) => bands.some((band) => band.id === id));

/** One of the old ways: the keys it was said with, and what becomes of them; null leaves them to be found fault with. */
interface Way {
  keys: readonly string[];
  kinds?: readonly string[];
  read: (node: Raw, bands: readonly Band[]) => Said | null;
}

const faces: Way = {
  keys: ["faces", "facesOn", "shortFace"],
  kinds: ["hub"],
  read: ({ faces: everywhere, facesOn = {}, shortFace }, bands) => {
    if (everywhere !== undefined && !(isTextMap(everywhere) && namesBands(bands, everywhere))) return null;
    if (!isRaw(facesOn)) return null;
    const targets = Object.entries(facesOn);
    const tables: { on?: Id; table: Readonly<Record<Id, string>> }[] = everywhere ? [{ table: everywhere }] : [];
    for (const [on, table] of targets) {
      if (!isTextMap(table) || !namesBands(bands, table)) return null;
      tables.push({ on, table });
    }
    if (shortFace !== undefined && !isText(shortFace)) return null;
    const said = steps(bands, "face", tables);
    if (everywhere && !said.own) said.own = { face: "none" };
    if (shortFace !== undefined) said.entries.push({ short: true, set: { face: shortFace } });
    return said;
  },
};

const opens: Way = {
  keys: ["opensIn", "opensOn"],
  read: ({ opensIn = {}, opensOn = {} }, bands) => {
    if (!isTextMap(opensIn) || !isTextMap(opensOn) || !namesBands(bands, opensIn)) return null;
    const said = steps(bands, "opens", [{ table: opensIn }]);
    for (const [on, value] of Object.entries(opensOn)) said.entries.push({ on: [on], set: { opens: value } });
    return said;
  },
};

const split: Way = {
  keys: ["splitFrom"],
  kinds: ["pair"],
  read: ({ splitFrom }, bands) => {
    if (!isText(splitFrom) || !bands.some(({ id }) => id === splitFrom)) return null;
    if (splitFrom === bands[0]?.id) return { own: { split: true }, entries: [] };
    // from the second band up goes without saying
    if (splitFrom === bands[1]?.id) return { entries: [] };
    return { own: { split: false }, entries: [{ from: splitFrom, set: { split: true } }] };
  },
};

const ways: readonly Way[] = [faces, opens, split];

/** Bands that lie beside each other, as ranges. */
const ranges = (bands: readonly Band[], ids: readonly Id[]): { from?: Id; to?: Id }[] => {
  const found: { from?: Id; to?: Id }[] = [];
  const isNamed = bands.map(({ id }) => ids.includes(id));
  bands.forEach(({ id }, i) => {
    if (!isNamed[i]) return;
    if (i === 0 || !isNamed[i - 1]) found.push(i === 0 ? {} : { from: id });
    const last = found.at(-1);
    if (last && i < bands.length - 1 && !isNamed[i + 1]) last.to = id;
  });
  return found;
};

/** Where something was there alone: targets, bands and facts. Null where it was everywhere; undefined where it cannot be read. */
const onlyOf = (only: unknown, bands: readonly Band[]): Raw | Raw[] | null | undefined => {
  if (!isRaw(only)) return undefined;
  const { targets, bands: within, ...rest } = only;
  if (targets !== undefined && !isTexts(targets)) return undefined;
  if (within !== undefined && !(isTexts(within) && within.every((id) => bands.some((band) => band.id === id))))
    return undefined;
  // on no target, at no width: never
  if (targets?.length === 0 || within?.length === 0) return [];
  const more = { ...(targets && { on: targets }), ...rest };
  const conditions = (within ? ranges(bands, within) : [{}]).map((range) => ({ ...more, ...range }));
  const [first] = conditions;
  if (conditions.some((condition) => !has(condition))) return null;
  return conditions.length === 1 && first ? first : conditions;
};

const withOnly = (holder: unknown, bands: readonly Band[]): unknown => {
  if (!isRaw(holder) || holder.only === undefined) return holder;
  const only = onlyOf(holder.only, bands);
  if (only === undefined) return holder;
  const { only: _, ...rest } = holder;
  return only === null ? rest : { ...holder, only };
};

/** What a node had that is said in another place now: on which targets a tab has another icon. */
const tabOf = (tab: unknown, bands: readonly Band[]): { tab?: unknown; entries: Entry[] } => {
  const next = withOnly(tab, bands);
  if (!isRaw(next)) return { tab: next, entries: [] };
  const { iconOn, ...rest } = next;
  if (!isTextMap(iconOn)) return { tab: next, entries: [] };
  const entries = Object.entries(iconOn).map(([on, icon]) => ({
    on: [on],
    set: { tab: { icon } },
  }));
  return { ...(has(rest) && { tab: rest }), entries };
};

const listed = (list: unknown, bands: readonly Band[]): unknown =>
  Array.isArray(list) ? list.map((each) => withOnly(each, bands)) : list;

const toNode = (node: Raw, frame: Raw): Raw => {
  const bands = bandsIn(frame);
  if (!bands) return node;
  const next: Record<string, unknown> = { ...node };
  const vary: Entry[] = [];
  for (const { keys, kinds, read } of ways) {
    if ((kinds && !kinds.includes(String(node.kind))) || keys.every((key) => node[key] === undefined)) continue;
    const said = read(node, bands);
    if (!said) continue;
    for (const key of keys) delete next[key];
    Object.assign(next, said.own);
    vary.push(...said.entries);
  }
  if (next.tab !== undefined) {
    const { tab, entries } = tabOf(next.tab, bands);
    if (tab === undefined) delete next.tab;
    else next.tab = tab;
    vary.push(...entries);
  }
  for (const key of ["actions", "extras"]) if (next[key] !== undefined) next[key] = listed(next[key], bands);
  return vary.length ? { ...next, vary } : next;
};

/** Which entries say what an old key said: of one slot, on some targets or on all, in low views or in any. */
const saidBy: Readonly<Record<string, (entry: Entry) => Entry | null>> = (() => {
  const without =
    (key: string, isIts: (entry: Entry) => boolean) =>
    (entry: Entry): Entry | null => {
      if (!isIts(entry) || entry.set[key] === undefined) return entry;
      const { [key]: _, ...set } = entry.set;
      return has(set) ? { ...entry, set } : null;
    };
  const onAll = ({ on, short }: Entry) => on === undefined && short === undefined;
  const onSome = ({ on }: Entry) => on !== undefined;
  return {
    faces: without("face", onAll),
    facesOn: without("face", onSome),
    shortFace: without("face", ({ short }) => short === true),
    opensIn: without("opens", onAll),
    opensOn: without("opens", onSome),
    splitFrom: without("split", () => true),
    tab: without("tab", onSome),
  };
})();

/** The node's own key that goes with an old one where that is not said any more. */
const ownOf: Readonly<Record<string, string>> = { faces: "face", splitFrom: "split" };

/** So that the last that applies is the one that held: the narrow first, in each band all targets before some; then how something opens on a target, then low views. */
const ordered = (entries: readonly Entry[], bands: readonly Band[]): Entry[] => {
  const place = ({ from, on, short, set }: Entry): number => {
    if (short === true) return 1000;
    if (on !== undefined && set.opens !== undefined) return 900;
    return (
      2 *
        Math.max(
          0,
          bands.findIndex(({ id }) => id === from),
        ) +
      (on === undefined ? 0 : 1)
    );
  };
  return entries.toSorted((a, b) => place(a) - place(b));
};

/** The entries of a list of them. */
const entriesIn = (vary: unknown): Entry[] => (Array.isArray(vary) ? vary : []);

/** Keys that are given to a node of which the rest is in the present form already. */
const toKeys = (given: Raw, node: Raw, frame: Raw): Raw => {
  const olds = Object.keys(given).filter((key) => key in saidBy);
  const held = Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));
  const { kind: _, vary = [], ...made } = toNode({ ...held, kind: node.kind }, frame);
  if (olds.length === 0) return equal(made, held) ? given : { ...given, ...made };
  const kept = entriesIn(node.vary).flatMap((entry) => {
    const left = olds.reduce<Entry | null>((each, key) => each && (saidBy[key]?.(each) ?? null), entry);
    return left ? [left] : [];
  });
  const entries = [...kept, ...entriesIn(vary)];
  const dropped = olds.flatMap((key) => (ownOf[key] !== undefined ? [[ownOf[key], undefined]] : []));
  const others = Object.entries(given).filter(
    ([key, value]) => value === undefined && (key === "tab" || !(key in saidBy)),
  );
  return {
    ...Object.fromEntries(others),
    ...Object.fromEntries(dropped),
    ...made,
    vary: entries.length ? ordered(entries, bandsIn(frame) ?? []) : undefined,
  };
};

/** From six ways of differing by view to one. */
export const toVary: Upgrade = {
  from: "handy-frame/1",
  to: "handy-frame/2",
  node: toNode,
  keys: toKeys,
};
