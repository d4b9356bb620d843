import { firstOf } from "../frame/sure.js";
import { nodeAt } from "../frame/nodes.js";
import type { Edit } from "../edit/edit.js";
import { together } from "../edit/together.js";
import { freeIdIn } from "../edit/naming.js";
import { childrenOf, factsOf, factValues } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import type { Fact, Id, Need } from "../frame/parts.js";
import type { Frame, ScreenNode } from "../frame/types.js";
import { plainName } from "../frame/names.js";
import { list } from "../says/words.js";
import { cannot, type ChangeOfMind, planned } from "./change.js";

const plainFact: Fact = { id: "signedIn", label: "Signed in" };

/** The fact that says whether a person is signed in, if the frame has one: its first that is true or false. */
const signedInOf = (frame: Frame): Fact | undefined =>
  factsOf(frame).find((fact) => factValues(fact).every((value) => typeof value === "boolean"));

/** What stands in already for what asks for the fact. */
const welcomeOf = (frame: Frame, fact: Id): Id | undefined =>
  Object.values(frame.nodes)
    .flatMap((node) => node.needs ?? [])
    .find((need) => need.fact === fact && need.is === true && need.otherwise !== undefined)?.otherwise;

/** A welcome, and a sheet to sign in over it: both are gone once it is done, so that Back never shows them again. */
const doorOf = (frame: Frame, fact: Id, to: Id): { welcome: Id; edits: Edit[] } => {
  const welcome = freeIdIn(frame, "Welcome");
  const signIn = freeIdIn(frame, "Sign in", new Set([welcome]));
  const needs: Need[] = [{ fact, is: false, otherwise: to }];
  const welcomeNode: ScreenNode = {
    kind: "screen",
    title: "Welcome",
    header: "off",
    needs,
    body: { kind: "text", text: "What this app is for, in a sentence." },
    actions: [{ id: "signIn", label: "Sign in", place: "footer", do: { kind: "open", to: signIn } }],
  };
  const signInNode: ScreenNode = {
    kind: "screen",
    title: "Sign in",
    opens: "sheet",
    needs,
    body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
    actions: [
      { id: "signIn", label: "Sign in", place: "footer", do: { kind: "set", fact, is: true } },
      { id: "notNow", label: "Not now", place: "footer", do: { kind: "close" } },
    ],
  };
  const last = childrenOf(nodeAt(frame, frame.root)).at(-1) ?? null;
  return {
    welcome,
    edits: [
      { kind: "add", nodes: { [signIn]: signInNode }, top: signIn, parent: frame.root, after: last },
      { kind: "add", nodes: { [welcome]: welcomeNode }, top: welcome, parent: frame.root, after: last },
    ],
  };
};

const factsWith = (frame: Frame, fact: Fact): Edit => ({
  kind: "setFrame",
  key: "facts",
  value: [...factsOf(frame), fact],
});

/** What is chosen is for those who are signed in: a welcome stands in for it, and what was asked waits until they are. */
export const askToSignIn: ChangeOfMind = {
  id: "sign-in",
  label: "Ask to sign in first",
  says: "a welcome stands in, and what was asked waits",
  plan: (frame, parts) => {
    const ids = [...new Set(parts.map(({ id }) => id))];
    const [first] = ids;
    if (first === undefined) return cannot("Choose what is for those who are signed in.");
    if (ids.includes(frame.root))
      return cannot("The root holds the welcome too: choose what only those who are signed in may see.");
    if (!isAttached(frame, first)) return cannot("What is loose is never opened: it goes onto a plate first.");
    const known = signedInOf(frame);
    const fact = known ?? plainFact;
    const asks = (id: Id): boolean => nodeAt(frame, id).needs?.some((need) => need.fact === fact.id) ?? false;
    const asking = ids.filter((id) => !asks(id));
    if (asking.length === 0) return cannot(`${plainName(frame, first)} asks for ${fact.label} already.`);
    const there = welcomeOf(frame, fact.id);
    if (!known && factsOf(frame).some(({ id }) => id === fact.id))
      return cannot(
        `The fact ${fact.id} has values of its own: set what ${plainName(frame, first)} needs on the bench.`,
      );
    const door = there === undefined ? doorOf(frame, fact.id, firstOf(asking)) : { welcome: there, edits: [] };
    if (asking.includes(door.welcome)) return cannot(`${plainName(frame, door.welcome)} is what stands in.`);
    const need: Need = { fact: fact.id, is: true, otherwise: door.welcome, resume: true };
    const edits: Edit[] = [
      ...(known ? [] : [factsWith(frame, plainFact)]),
      ...door.edits,
      ...asking.map((id): Edit => ({
        kind: "set",
        node: id,
        key: "needs",
        value: [...(nodeAt(frame, id).needs ?? []), need],
      })),
    ];
    const names = list(asking.slice(0, 3).map((id) => plainName(frame, id)));
    return planned({
      edit: together(edits),
      label: `Ask to sign in before ${names}`,
      choose: firstOf(parts),
    });
  },
};
