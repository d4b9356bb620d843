import { nameOf, plainName } from "../frame/names.js";
import { needWords } from "../frame/needs.js";
import type { Frame } from "../frame/types.js";
import type { ClosedBy, IgnoredBy, Named, Note, NoteArgs, NoteCode, SkippedBy } from "../navigate/notes.js";

// The words of every note, made where it is printed: the engine tells data alone.

const name = (frame: Frame, { id, params }: Named): string => nameOf(frame, id, params);

type TextOf<A> = (frame: Frame, args: A) => string;
type TextsBy<U extends { why: string }> = { [W in U["why"]]: TextOf<Extract<U, { why: W }>> };

/** The text of one of several reasons. */
const by =
  <U extends { why: string }>(texts: TextsBy<U>): TextOf<U> =>
  (frame, args) => {
    const why: U["why"] = args.why;
    const text: TextOf<never> = texts[why];
    return text(frame, args as never);
  };

const pushed = "was pushed, and what lies over a screen gives way to a push.";

const closedBy = by<ClosedBy>({
  clears: () => "what was opened clears its way.",
  "lies-beneath": (frame, { container }) =>
    `${name(frame, container)} lies beneath it, and what was opened lies in there.`,
  pushed: (frame, args) => `${name(frame, args.by)} ${pushed}`,
  starts: (frame, args) =>
    `${name(frame, args.by)} starts this stack and lies at its bottom, so opening it goes down to it.`,
  "opened-beside": (frame, args) => `${name(frame, args.by)} was opened in the detail beside it.`,
});

const skippedBy = by<SkippedBy>({
  needs: (frame, { lacking }) => `${name(frame, lacking.of)} needs ${needWords(frame, lacking.need)}`,
  "goes-on": () => "it goes on by itself",
  "lacks-params": () => "the link has not all that its address names",
});

const nothingBeneath = "Nothing lies beneath this screen";

const ignoredBy = by<IgnoredBy>({
  "no-event": (_, { received, pointer, expected }) =>
    `This is no event: received ${received} at ${pointer || "/"}, expected ${expected}.`,
  outside: () => "The app was left: it has to be opened again first.",
  stuck: () => "Nothing of this app may be shown now, so nothing can be touched.",
  "not-outside": () => "The app was not left.",
  "nothing-to-close": () => "There is nothing to close: nothing lies beneath this screen.",
  "nothing-beneath": (_, { hasNoBack }) =>
    hasNoBack ? `${nothingBeneath}, and this target has no Back of its own.` : `${nothingBeneath} to go up to.`,
  "no-system-back": () => "This target has no Back of its own.",
  "at-first": () => "This stack is at its first entry already.",
  "no-fact": (_, { fact }) => `There is no fact ${fact}.`,
  "no-fact-value": (_, { fact, is, values }) => `${fact} can be ${values.join(" or ")}, not ${String(is)}.`,
  "no-set-fact": (_, { fact, is }) => `There is no fact ${fact} that can be ${JSON.stringify(is)}.`,
  "no-drawer": () => "No hub around this screen shows as a drawer here.",
  "drawer-covered": (frame, { hub }) => `The drawer of ${nameOf(frame, hub)} lies under an overlay.`,
  "drawer-already": (frame, { hub, open }) =>
    `The drawer of ${nameOf(frame, hub)} is ${open ? "open" : "closed"} already.`,
  "drawer-open": () => "A drawer is open: nothing beside it can be touched.",
  "beside-drawer": (frame, { hub }) => `The drawer of ${nameOf(frame, hub)} is open: nothing beside it can be touched.`,
  "not-seen": (_, { node }) => `${node} cannot be seen now, so nothing on it can be touched.`,
  "under-overlay": (frame, { screen }) => `${name(frame, screen)} lies under an overlay: nothing on it can be touched.`,
  "no-action": (frame, { on, action }) => `${name(frame, on)} shows no action ${action}.`,
  "extras-out-of-reach": (frame, { hub }) =>
    `No rail, panel or open drawer of ${nameOf(frame, hub)} can be touched now.`,
  "no-rows": (frame, { screen }) => `${name(frame, screen)} has no rows.`,
  "no-such-row": (frame, { screen, rows, row }) => `${name(frame, screen)} has ${rows} rows: there is no row ${row}.`,
  "rows-open-nothing": (frame, { screen }) => `The rows of ${name(frame, screen)} open nothing.`,
  "no-field": (frame, { screen, field }) => `${name(frame, screen)} has no field ${field}.`,
  "tab-covered": (_, { tab }) => `The tab ${tab} lies under what is over it.`,
  "tab-in-drawer": (_, { tab }) => `The tab ${tab} is in a drawer that is closed.`,
  "tab-not-seen": (_, { tab }) => `The tab ${tab} cannot be seen now.`,
  "not-dismissed": () => "A full screen is closed by its strip or an action, not dismissed.",
  "nothing-to-dismiss": () => "Nothing on screen can be dismissed.",
  "no-target": (_, { target }) => `There is no target ${target}.`,
  asks: (frame, { screen }) => `${name(frame, screen)} asks whether to leave it: that has to be answered first.`,
  "nothing-asked": () => "Nothing is asked, so there is nothing to answer.",
  link: (_, { reason }) => `The link was ignored: ${reason}.`,
  "link-nowhere": (_, { path }) =>
    `The link was ignored: no screen has the address ${path}, and none is named for lost links.`,
});

const thereAlready: Readonly<Record<NoteArgs["already-there"]["how"], string>> = {
  "on-top": "is on top already: nothing was laid over it.",
  "top-overlay": "is on top already: nothing was laid over it.",
  "right-beneath": "lay right beneath: what lay over it was closed.",
  detail: "is the detail already.",
};

/** What a need asks of, as a screen names it when it is opened, its container plainly. */
const lackingWords = (frame: Frame, { of, need }: NoteArgs["refused"]["lacking"]): string =>
  `${of.params ? name(frame, of) : plainName(frame, of.id)} needs ${needWords(frame, need)}`;

const texts: { [C in NoteCode]: TextOf<NoteArgs[C]> } = {
  closed: (frame, args) => `${name(frame, args.what)} was closed: ${closedBy(frame, args)}`,
  "already-there": (frame, { what, how }) => `${name(frame, what)} ${thereAlready[how]}`,
  switched: (frame, { tab, for: what }) =>
    `${nameOf(frame, tab)} is now the tab: ${what === "link" ? "what the link opens" : name(frame, what)} stands in it.`,
  unattached: (frame, { node, isNode }) =>
    isNode
      ? `${nameOf(frame, node)} stands in no container, so there is nowhere to open it. Put it into a stack or a hub.`
      : `There is no node ${node}.`,
  ignored: ignoredBy,
  wanting: (frame, { screen, names }) => `${name(frame, screen)} wants ${names.join(", ")}, which nobody handed over.`,
  asks: (frame, { screen, ask, when }) =>
    `${name(frame, screen)} asks “${ask}” before ${when === "draft" ? "its draft would be gone" : "it is left"}: until that is answered all is as it was.`,
  "draft-lost": (frame, { screen, field }) => `${name(frame, screen)} held a draft in ${field}: it is lost.`,
  "after-loop": (_, { times }) => `Screens went on opening one another by themselves: stopped after ${times} times.`,
  redirected: (frame, args) =>
    args.why === "swept"
      ? `${name(frame, args.to)} was opened in place of ${name(frame, args.from)}.`
      : `${lackingWords(frame, args.lacking)}: ${name(frame, args.to)} was opened instead${args.waits ? ", and what was asked waits" : ""}.`,
  refused: (frame, { what, lacking }) => `${name(frame, what)} was not opened: ${lackingWords(frame, lacking)}.`,
  swept: (frame, { what, need }) => `${name(frame, what)} was taken out: it needs ${needWords(frame, need)}.`,
  resumed: (frame, { what }) => `${name(frame, what)} was waiting for what it needs: it is opened now.`,
  "needs-loop": (frame, { opening }) =>
    opening === null
      ? "What stands in for what may not be shown needs something itself, and so on."
      : `What stands in for ${nameOf(frame, opening)} needs something itself, and so on: nothing was opened.`,
  stuck: () => "Nothing of this app may be shown now: every start of it needs something that is not so.",
  lost: (frame, { screen, path }) => `No screen has the address ${path}: ${nameOf(frame, screen)} stands for it.`,
  "base-skipped": (frame, args) => `${nameOf(frame, args.what)} was not laid beneath: ${skippedWords(frame, args)}.`,
};

const skippedWords = (frame: Frame, args: NoteArgs["base-skipped"]): string =>
  args.why === "needs" && args.lacking.of.id === args.what
    ? `it needs ${needWords(frame, args.lacking.need)}`
    : skippedBy(frame, args);

/** A note in words a developer understands: why the engine did what it did. */
export const noteText = (frame: Frame, note: Note): string =>
  (texts[note.code] as TextOf<Note["args"]>)(frame, note.args);
