import type { Frame, HubNode, Node, PairNode, ScreenNode } from "../frame/types.js";
import type { Id, Motion } from "../frame/parts.js";
import { frameOf, hub, list, opening, screen, stack } from "./frames.js";

/** A small app that has one fault, and a nearly equal one that has not. */
export interface CheckExample {
  faulty: Frame;
  clean: Frame;
}

const swipe = { id: "swipe", label: "Swipe-back phone", systemBack: false, edgeSwipe: true };
const bare = { id: "bare", label: "Phone without a Back", systemBack: false };
const key = { id: "key", label: "Back-key phone" };
const signedIn = { id: "signedIn", label: "Signed in" };
const form = { kind: "form" as const, fields: [{ id: "name", label: "Name", input: "text" as const }] };
const acting = (id: Id, act: NonNullable<ScreenNode["actions"]>[number]["do"]) => ({
  id,
  label: id,
  place: "body" as const,
  do: act,
});

/** A list, a detail, and something beside them, in an app with two tabs. */
const library = (more: Record<Id, Node> = {}, home: Partial<HubNode> = {}, extra: Partial<Frame> = {}): Frame =>
  frameOf(
    {
      app: stack(["home"]),
      home: hub(["booksTab", "loansTab"], home),
      booksTab: stack(["books", "book"], { title: "Books", tab: { label: "Books", icon: "books" } }),
      books: list("book", "book", { title: "All books" }),
      book: screen({ title: "Book {book}", params: { book: "text" } }),
      loansTab: stack(["loans"], { title: "Loans", tab: { label: "Loans", icon: "hand" } }),
      loans: screen({ title: "My loans" }),
      ...more,
    },
    { targets: [key], ...extra },
  );

const motions = (motion: Partial<Motion>): Partial<Frame> => ({
  motion: { push: "own" },
  motions: {
    own: {
      name: "Own",
      forward: {
        incoming: [{ property: "x", from: 100, to: 0, ms: 240, ease: "linear" }],
        outgoing: [{ property: "x", from: 0, to: -100, ms: 240, ease: "linear" }],
        above: "incoming",
      },
      back: "mirror",
      ...motion,
    },
  },
});

const five = ["one", "two", "three", "four", "five", "six"];
const manyTabs = (start: Id, limit: number, badge?: Id): Frame =>
  frameOf({
    app: stack(["home"]),
    home: hub(five, { start, limit }),
    ...Object.fromEntries(
      five.map((id) => [
        id,
        screen({ title: id, tab: { label: id, icon: "circle", ...(id === badge && { badge: 3 }) } }),
      ]),
    ),
  });

const guarded = (needs: Record<Id, Partial<ScreenNode>>, gate: Partial<ScreenNode> = {}): Frame =>
  library(
    {
      app: stack(["home", "signIn"]),
      signIn: screen({
        title: "Sign in",
        actions: [acting("enter", { kind: "set", fact: "signedIn", is: true })],
        ...gate,
      }),
      ...Object.fromEntries(Object.entries(needs).map(([id, node]) => [id, screen({ title: id, ...node })])),
    },
    {},
    { facts: [signedIn, { id: "member", label: "Member" }] },
  );
const need = (more: object = {}) => ({ needs: [{ fact: "signedIn", is: true, ...more }] });

const pair = (split: Partial<PairNode>): Frame =>
  frameOf({
    app: stack(["both"]),
    both: { kind: "pair", list: "books", detail: "book", title: "Both", ...split },
    books: list("book", "book", { title: "Books" }),
    book: screen({ title: "Book {book}", params: { book: "text" } }),
  });

const ink = (light: object, dark: object = {}): Frame => library({}, {}, { theme: { light, dark } });

/** An example of each rule. */
export const checkExamples: Record<string, CheckExample> = {
  trap: {
    faulty: library({ book: screen({ title: "Book", header: "off" }) }, {}, { targets: [bare] }),
    clean: library({ book: screen({ title: "Book" }) }, {}, { targets: [bare] }),
  },
  "behind-back": {
    faulty: frameOf({
      app: stack(["splash", "books"]),
      splash: screen({ after: { ms: 900, do: { kind: "open", to: "books" } } }),
      books: screen(),
    }),
    clean: frameOf({
      app: stack(["splash", "books"]),
      splash: screen({ after: { ms: 900, do: { kind: "open", to: "books", how: "replace" } } }),
      books: screen(),
    }),
  },
  "goes-round": {
    faulty: frameOf(
      {
        app: stack(["inside", "door"]),
        inside: screen({
          needs: [{ fact: "signedIn", is: true, otherwise: "door", resume: true }],
          actions: [acting("out", { kind: "set", fact: "signedIn", is: false, then: { kind: "back" } })],
        }),
        door: screen({ actions: [acting("in", { kind: "set", fact: "signedIn", is: true, then: { kind: "back" } })] }),
      },
      { targets: [bare], facts: [signedIn] },
    ),
    clean: frameOf(
      {
        app: stack(["inside", "door"]),
        inside: screen({
          needs: [{ fact: "signedIn", is: true, otherwise: "door", resume: true }],
          actions: [acting("out", { kind: "set", fact: "signedIn", is: false })],
        }),
        door: screen({ actions: [acting("in", { kind: "set", fact: "signedIn", is: true })] }),
      },
      { targets: [bare], facts: [signedIn] },
    ),
  },
  "leaves-deep": {
    faulty: library({
      booksTab: stack(["books", "book", "notes"], { title: "Books", tab: { label: "Books", icon: "books" } }),
      book: screen({ title: "Book", actions: [opening("notes", { how: "clear" })] }),
      notes: screen({ title: "Notes" }),
    }),
    clean: library({
      booksTab: stack(["books", "book", "notes"], { title: "Books", tab: { label: "Books", icon: "books" } }),
      book: screen({ title: "Book", actions: [opening("notes")] }),
      notes: screen({ title: "Notes" }),
    }),
  },
  "back-differs": {
    faulty: library({
      booksTab: stack(["books", "book", "notes"], { title: "Books", tab: { label: "Books", icon: "books" } }),
      books: list("book", "book", { title: "All books", actions: [opening("notes")] }),
      book: screen({ title: "Book", params: { book: "text" }, actions: [opening("notes")] }),
      notes: screen({ title: "Notes" }),
    }),
    clean: library({
      booksTab: stack(["books", "book", "notes"], { title: "Books", tab: { label: "Books", icon: "books" } }),
      book: screen({ title: "Book", params: { book: "text" }, actions: [opening("notes")] }),
      notes: screen({ title: "Notes" }),
    }),
  },
  "again-nothing": { faulty: library({}, { again: "none" }), clean: library({}, { again: "top" }) },
  "leads-nowhere": {
    faulty: library({ loans: screen({ actions: [opening("late")] }), late: screen() }),
    clean: library({ loans: screen({ actions: [opening("books")] }), late: screen() }),
  },
  unreached: {
    faulty: library({ loansTab: stack(["loans", "late"], { tab: { label: "Loans", icon: "hand" } }), late: screen() }),
    clean: library({
      loansTab: stack(["loans", "late"], { tab: { label: "Loans", icon: "hand" } }),
      loans: screen({ actions: [opening("late")] }),
      late: screen(),
    }),
  },
  loose: { faulty: library({ late: screen({ title: "Late" }) }), clean: library() },
  "titles-twice": {
    faulty: library({ book: screen({ title: "All books", params: { book: "text" } }) }),
    clean: library(),
  },
  grows: {
    faulty: library({
      book: screen({
        title: "Book",
        params: { book: "text" },
        actions: [opening("book", { params: { book: "{book}0" } })],
      }),
    }),
    clean: library({ book: screen({ title: "Book", params: { book: "text" }, actions: [opening("books")] }) }),
  },
  "vary-nothing": {
    faulty: library({ book: screen({ title: "Book", vary: [{ from: "lap", set: { opens: "push" } }] }) }),
    clean: library({ book: screen({ title: "Book", vary: [{ from: "lap", set: { opens: "dialog" } }] }) }),
  },
  "deep-nesting": {
    faulty: frameOf({
      app: stack(["a"]),
      a: stack(["b"]),
      b: stack(["c"]),
      c: stack(["d"]),
      d: stack(["end"]),
      end: screen(),
    }),
    clean: frameOf({ app: stack(["a"]), a: stack(["b"]), b: stack(["c"]), c: stack(["end"]), end: screen() }),
  },
  "lone-child": {
    faulty: frameOf({
      app: stack(["start", "box"]),
      start: screen({ actions: [opening("inner")] }),
      box: stack(["inner"]),
      inner: screen(),
    }),
    clean: frameOf({
      app: stack(["start", "box"]),
      start: screen({ actions: [opening("inner")] }),
      box: stack(["inner"], { opens: "sheet" }),
      inner: screen(),
    }),
  },
  "two-strips": { faulty: library({}, { strip: true }), clean: library() },
  "bar-vanishes": {
    faulty: library({
      app: stack(["home", "book"]),
      booksTab: stack(["books"], { tab: { label: "Books", icon: "books" } }),
    }),
    clean: library(),
  },
  "covers-inside": {
    faulty: library({
      book: screen({ title: "Book", params: { book: "text" }, bars: "hide" }),
      loans: screen({ title: "My loans", actions: [opening("book", { params: { book: "1" } })] }),
    }),
    clean: library({
      book: screen({ title: "Book", params: { book: "text" } }),
      loans: screen({ title: "My loans", actions: [opening("book", { params: { book: "1" } })] }),
    }),
  },
  "swipe-alone": {
    faulty: library({ book: screen({ title: "Book", header: "off" }) }, {}, { targets: [swipe] }),
    clean: library({}, {}, { targets: [swipe] }),
  },
  "hub-of-one": {
    faulty: frameOf({ app: stack(["home"]), home: hub(["a"]), a: screen() }),
    clean: frameOf({ app: stack(["home"]), home: hub(["a", "b"]), a: screen(), b: screen() }),
  },
  "tabs-uneven": {
    faulty: library({ loansTab: stack(["loans"], { tab: { label: "Loans" } as never }) }),
    clean: library(),
  },
  "badge-behind-more": { faulty: manyTabs("one", 3, "six"), clean: manyTabs("one", 3, "one") },
  "tabs-behind-more": { faulty: manyTabs("six", 3), clean: manyTabs("six", 6) },
  "icon-same": {
    faulty: library({ loansTab: stack(["loans"], { tab: { label: "Loans", icon: "hand", activeIcon: "hand" } }) }),
    clean: library({ loansTab: stack(["loans"], { tab: { label: "Loans", icon: "hand", activeIcon: "hand-coins" } }) }),
  },
  "params-missing": {
    faulty: library({
      loans: screen({ actions: [opening("book")] }),
      book: screen({ title: "Book", path: "/books/:book" }),
    }),
    clean: library({
      loans: screen({ actions: [opening("book", { params: { book: "7" } })] }),
      book: screen({ title: "Book", path: "/books/:book" }),
    }),
  },
  "draft-lost": {
    faulty: library({ book: screen({ title: "Book", opens: "sheet", body: form }) }),
    clean: library({
      book: screen({ title: "Book", opens: "sheet", body: form, leave: { when: "draft", ask: "Throw it away?" } }),
    }),
  },
  "wants-missing": {
    faulty: library({ book: screen({ title: "Book", path: "/books/:book", wants: ["from"] }) }),
    clean: library({ book: screen({ title: "Book", wants: ["from"] }) }),
  },
  "given-unseen": {
    faulty: library({
      loansTab: stack(["loans", "late"], { tab: { label: "Loans", icon: "hand" } }),
      loans: screen({ actions: [opening("late")] }),
      late: screen({ opens: "sheet", actions: [acting("done", { kind: "close", give: { note: "yes" } })] }),
    }),
    clean: library({
      loansTab: stack(["loans", "late"], { tab: { label: "Loans", icon: "hand" } }),
      loans: list("late", undefined, { actions: [opening("late")] }),
      late: screen({ opens: "sheet", actions: [acting("done", { kind: "close", give: { note: "yes" } })] }),
    }),
  },
  "place-lost": {
    faulty: library({}, { keep: "fresh" }),
    clean: library(),
  },
  "lost-by-kill": {
    faulty: library({ loans: screen({ body: form }) }),
    clean: library({ loans: screen({ body: form }) }, {}, { relaunch: "everything" }),
  },
  "needs-round": {
    faulty: guarded(
      { loans: { needs: [{ fact: "signedIn", is: true, otherwise: "signIn" }] } },
      { needs: [{ fact: "member", is: true, otherwise: "loans" }] },
    ),
    clean: guarded({ loans: need({ otherwise: "signIn" }) }),
  },
  "cold-no-way-back": {
    faulty: library({
      booksTab: stack(["books", "book"], { base: null, tab: { label: "Books", icon: "books" } }),
      book: screen({ title: "Book", path: "/books/:book" }),
    }),
    clean: library({
      booksTab: stack(["books", "book"], { tab: { label: "Books", icon: "books" } }),
      book: screen({ title: "Book", path: "/books/:book" }),
    }),
  },
  "link-shows-nothing": {
    faulty: guarded({ loans: { path: "/loans", ...need() } }),
    clean: guarded({ loans: { path: "/loans", ...need({ otherwise: "signIn" }) } }),
  },
  "stand-in-needs": {
    faulty: guarded({ loans: need({ otherwise: "signIn" }) }, { needs: [{ fact: "member", is: true }] }),
    clean: guarded({ loans: need({ otherwise: "signIn" }) }, { needs: [{ fact: "signedIn", is: false }] }),
  },
  "no-address": {
    faulty: library({
      books: list("book", "book", { title: "All books", path: "/books" }),
      book: screen({ path: "/books/:book" }),
    }),
    clean: library({
      books: list("book", "book", { title: "All books", path: "/books" }),
      book: screen({ path: "/books/:book" }),
      loans: screen({ path: "/loans" }),
    }),
  },
  "address-shared": {
    faulty: library({ loans: screen({ path: "/books/late" }), book: screen({ path: "/books/:book" }) }),
    clean: library({ loans: screen({ path: "/late" }), book: screen({ path: "/books/:book" }) }),
  },
  "narrow-pane": {
    faulty: pair({ split: true }),
    clean: pair({ split: false, vary: [{ from: "desk", set: { split: true } }] }),
  },
  "small-target": { faulty: library({}, {}, { theme: { sizes: { bar: 20 } } }), clean: library() },
  "floating-covers": {
    faulty: library(
      { loans: screen({ actions: [{ ...acting("late", { kind: "back" }), place: "footer" }] }) },
      { floating: true },
    ),
    clean: library({ loans: screen({ actions: [{ ...acting("late", { kind: "back" }), place: "footer" }] }) }),
  },
  "under-cut-out": {
    faulty: library({ book: screen({ title: "Book", params: { book: "text" }, system: "hide" }) }),
    clean: library({ book: screen({ title: "Book", params: { book: "text" }, system: "hide", header: "off" }) }),
  },
  "low-content": {
    faulty: library({}, { strip: true }, { theme: { sizes: { header: 110, bar: 90 } } }),
    clean: library(),
  },
  "edge-twice": {
    faulty: library({}, { face: "drawer" }, { targets: [swipe] }),
    clean: library({}, { face: "drawer", faceEdge: "end" }, { targets: [swipe] }),
  },
  contrast: {
    faulty: ink({ ink: "#999999" }, { ink: "#777777" }),
    clean: ink({ ink: "#222222" }, { ink: "#EEEEEE" }),
  },
  "one-theme": { faulty: ink({ ink: "#222222" }), clean: ink({ ink: "#222222" }, { ink: "#EEEEEE" }) },
  "calm-moves": {
    faulty: library({}, {}, { ...motions({}), calm: "own" }),
    clean: library({}, {}, { ...motions({}) }),
  },
  "motion-bare": {
    faulty: library(
      {},
      {},
      motions({
        forward: {
          incoming: [{ property: "opacity", from: 0, to: 1, ms: 240, ease: "linear", delay: 120 }],
          outgoing: [{ property: "opacity", from: 1, to: 0, ms: 240, ease: "linear" }],
          above: "incoming",
        },
      }),
    ),
    clean: library({}, {}, motions({})),
  },
  "motion-directions": {
    faulty: library(
      {},
      {},
      motions({
        forward: {
          incoming: [{ property: "x", from: 100, to: 0, ms: 240, ease: "linear" }],
          outgoing: [{ property: "x", from: 0, to: 100, ms: 240, ease: "linear" }],
          above: "incoming",
        },
      }),
    ),
    clean: library({}, {}, motions({})),
  },
  "motion-length": {
    faulty: library(
      {},
      {},
      motions({
        forward: {
          incoming: [{ property: "x", from: 100, to: 0, ms: 900, ease: "linear" }],
          outgoing: [{ property: "x", from: 0, to: -100, ms: 900, ease: "linear" }],
          above: "incoming",
        },
      }),
    ),
    clean: library({}, {}, motions({})),
  },
};
