import Joi from "joi";
import { reservedIds } from "../core/frame/ids.js";
import { type Form, partsOf } from "../core/frame/forms.js";
import { iconName, mostPath, mostPaths, mostWide, pathData } from "../core/frame/own-icon.js";
import { colourNames, marks, sizeNames } from "../core/frame/parts.js";
import {
  type NodeKind,
  nodeKinds,
  motionChoices,
  opensChoices,
  type NodeKey,
  properties,
  propertyKeys,
  propertyOf,
  type ShapedKey,
  varyingKeys,
} from "../core/frame/properties.js";

/** `[a-z][A-Za-z0-9]{0,39}`, without the names every JavaScript object answers to. */
export const id = Joi.string()
  .pattern(/^[a-z][A-Za-z0-9]{0,39}$/, "id")
  .invalid(...reservedIds)
  .messages({
    "string.pattern.name": "an id: a small letter, then letters and digits, 40 at most",
    "any.invalid": "an id that is no word of the tool or of JavaScript objects",
  });

const text = Joi.string().allow("").max(4000);
const label = Joi.string().allow("").max(200);
const amount = Joi.number().min(0).max(1_000_000);
const byId = (value: Joi.Schema) => Joi.object().pattern(id, value);
const someOf = (...values: string[]) => Joi.string().valid(...values);

const ownIconName = Joi.string()
  .pattern(iconName, "icon")
  .invalid(...reservedIds)
  .messages({
    "string.pattern.name": "a name of an icon: small letters, digits and hyphens, a letter first, 60 at most",
  });
const ownIcon = Joi.object({
  box: Joi.number().greater(0).max(mostWide).required(),
  paths: Joi.array()
    .items(
      Joi.string()
        .pattern(pathData, "path")
        .max(mostPath)
        .messages({ "string.pattern.name": "SVG path data: a move, then commands and numbers" }),
    )
    .min(1)
    .max(mostPaths)
    .required(),
  rule: Joi.valid("evenodd"),
  line: Joi.number().greater(0).max(mostWide),
  ends: Joi.valid("round"),
});

const factValue = Joi.alternatives(Joi.boolean().strict(), Joi.string().max(60));
const template = Joi.object().pattern(Joi.string().pattern(/^\w{1,60}$/), text);
const opens = someOf(...Object.keys(opensChoices));
const motionTable = Joi.object(Object.fromEntries(Object.keys(motionChoices).map((kind) => [kind, id])));

/** A range of views. */
const views = { on: Joi.array().items(id), from: id, to: id, short: Joi.valid(true) };
const condition = Joi.object({ ...views, facts: byId(factValue) });
const only = Joi.alternatives().conditional(Joi.array(), { then: Joi.array().items(condition), otherwise: condition });

/** An object whose keys depend on its `kind`: one form for each. */
export const byKind = (kinds: Record<string, Record<string, Joi.Schema>>, common: Record<string, Joi.Schema> = {}) =>
  Joi.alternatives().conditional(".kind", {
    switch: Object.entries(kinds).map(([kind, keys]) => ({
      is: kind,
      then: Joi.object({ kind: Joi.valid(kind).required(), ...common, ...keys }),
    })),
    // says which kinds there are, and nothing of keys that cannot be judged without one
    otherwise: Joi.object({ kind: someOf(...Object.keys(kinds)).required() }).unknown(),
  });

/** What an action does: one form for each kind. */
const action = byKind({
  open: {
    to: id.required(),
    params: template,
    with: template,
    how: someOf("add", "replace", "clear"),
    as: opens,
    motion: id,
  },
  back: {},
  close: { give: template },
  root: {},
  set: { fact: id.required(), is: factValue.required(), then: Joi.link("#deed") },
  menu: {},
}).id("deed");

const actions = Joi.array().items(
  Joi.object({
    id: id.required(),
    label: label.required(),
    place: someOf("body", "row", "start", "end", "footer").required(),
    icon: label,
    only,
    do: action.required(),
  }),
);

const bodyKinds: Record<string, Record<string, Joi.Schema>> = {
  blank: {},
  text: { text: text.required() },
  list: rowBody(),
  grid: rowBody(),
  form: {
    fields: Joi.array()
      .items(
        Joi.object({ id: id.required(), label: label.required(), input: someOf("text", "note", "switch").required() }),
      )
      .max(200)
      .required(),
  },
  thread: { rows: Joi.number().integer().min(0).max(10_000).required() },
  media: {},
};

function rowBody() {
  return {
    rows: Joi.number().integer().min(0).max(100_000).required(),
    row: label.required(),
    opens: id,
    param: Joi.string().pattern(/^\w{1,60}$/),
  };
}

const tab = Joi.object({
  label,
  icon: label,
  activeIcon: label,
  badge: Joi.alternatives(Joi.number().integer().min(0).max(100_000), Joi.valid("dot")),
  hidden: Joi.boolean(),
  only,
});

const hex = Joi.string().pattern(/^#([0-9a-fA-F]{3,4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8})$/, "CSS hex colour");
const path = Joi.string().max(400);
const names = Joi.array().items(Joi.string().max(60));

/** What a value of a form can be. */
function schemaOf(form: Form): Joi.Schema {
  switch (form.sort) {
    case "choice":
      return someOf(...Object.keys(form.choices));
    case "flag":
      return Joi.boolean();
    case "whole":
      return Joi.number().integer().min(form.least).max(form.most);
    case "number":
      return Joi.number().min(form.least).max(form.most);
    case "label":
    case "icon":
      return label;
    case "text":
      return text;
    case "path":
      return path;
    case "id":
    case "motion":
    case "screen":
      return id;
    case "colour":
      return hex;
    case "shaped":
      throw new Error("a property with a shape of its own has no schema");
  }
}

/** The properties of nodes that have a shape of their own. */
const shapes: Record<Exclude<ShapedKey, "vary">, Joi.Schema> = {
  tab,
  needs: Joi.array().items(
    Joi.object({
      fact: id.required(),
      is: Joi.alternatives(factValue, Joi.array().items(factValue).min(1)).required(),
      otherwise: id,
      resume: Joi.boolean(),
    }),
  ),
  within: Joi.object(
    Object.fromEntries(
      Object.entries(partsOf(properties.within.form) ?? {}).map(([key, form]) => [key, schemaOf(form)]),
    ),
  ),
  rest: Joi.array().items(Joi.number().greater(0).max(1)).min(1).sort({ order: "ascending" }),
  motion: motionTable,
  also: Joi.array().items(path),
  running: someOf("open", "rebuild"),
  params: Joi.object().pattern(Joi.string().pattern(/^\w{1,60}$/), someOf("text", "whole")),
  wants: names,
  body: byKind(bodyKinds),
  actions,
  leave: Joi.object({
    when: someOf("draft", "always").required(),
    ask: label.min(1).required(),
    free: Joi.array().items(Joi.alternatives(id, Joi.object({ in: id.required(), action: id.required() }))),
  }),
  after: Joi.object({ ms: amount.required(), do: action.required() }),
  children: Joi.array().items(id).max(20_000).required(),
  base: id.allow(null),
  heading: Joi.object({ title: label.required(), icon: label }),
  extras: actions,
};
const isShaped = (key: NodeKey): key is keyof typeof shapes => Object.hasOwn(shapes, key);

const formOf = (key: NodeKey): Joi.Schema => (isShaped(key) ? shapes[key] : schemaOf(propertyOf(key).form));

/** A value that a property has in some views: of one with parts, some of them, where null is as if not said. */
const setTo = (key: NodeKey): Joi.Schema => {
  const parts = partsOf(propertyOf(key).form);
  if (!parts) return formOf(key);
  return Joi.object(
    Object.fromEntries(Object.entries(parts).map(([part, form]) => [part, schemaOf(form).allow(null)])),
  ).min(1);
};

/** What differs by view on a kind of nodes. */
const varyOn = (kind: NodeKind): Joi.Schema => {
  const keys = varyingKeys.filter((key) => propertyOf(key).kinds.includes(kind));
  const set = Joi.object(Object.fromEntries(keys.map((key) => [key, setTo(key)])));
  return Joi.array().items(Joi.object({ ...views, set: set.min(1).required() }));
};

/** The properties that all of these kinds have, and no others, in the order of the table. */
const propertiesOf = (...kinds: NodeKind[]): Record<string, Joi.Schema> =>
  Object.fromEntries(
    propertyKeys
      .filter((key) => {
        const own = propertyOf(key).kinds;
        return kinds.length === nodeKinds.length
          ? own.length === nodeKinds.length
          : own.length < nodeKinds.length && kinds.every((kind) => own.includes(kind));
      })
      .filter((key) => key !== "vary")
      .map((key) => [key, formOf(key)]),
  );

/** One node of the frame file: its kinds with their properties, and those that all of them have. */
export const node = byKind(
  Object.fromEntries(nodeKinds.map((kind) => [kind, { ...propertiesOf(kind), vary: varyOn(kind) }])),
  propertiesOf(...nodeKinds),
);

const ease = Joi.alternatives(
  Joi.valid("linear"),
  Joi.object({
    bezier: Joi.array()
      .ordered(
        Joi.number().min(0).max(1).required(),
        Joi.number().required(),
        Joi.number().min(0).max(1).required(),
        Joi.number().required(),
      )
      .length(4)
      .required(),
  }),
  Joi.object({
    spring: Joi.object({
      mass: Joi.number().greater(0).required(),
      stiffness: Joi.number().greater(0).required(),
      damping: amount.required(),
      velocity: Joi.number(),
    }).required(),
  }),
  Joi.object({ steps: Joi.number().integer().min(1).max(1000).required() }),
);
const tracks = Joi.array()
  .items(
    Joi.object({
      property: someOf("x", "y", "scale", "opacity", "turn").required(),
      from: Joi.number().required(),
      to: Joi.number().required(),
      delay: amount,
      ms: amount,
      ease: ease.required(),
    }),
  )
  .unique("property")
  .required();
const motionShape = Joi.object({
  incoming: tracks,
  outgoing: tracks,
  above: someOf("incoming", "outgoing").required(),
});
const motion = Joi.object({
  name: label.required(),
  forward: motionShape.required(),
  back: Joi.alternatives(Joi.valid("mirror"), motionShape).required(),
  scrim: Joi.number().min(0).max(1),
});

/** The theme; `part` says what each of its values can be besides. */
const themeOf = (part: (value: Joi.Schema) => Joi.Schema): Joi.Schema => {
  const colours = Joi.object(Object.fromEntries(colourNames.map((name) => [name, part(hex)])));
  const sizes = Object.fromEntries(sizeNames.map((name) => [name, part(Joi.number().min(0).max(2000))]));
  return Joi.object({
    light: colours,
    dark: colours,
    mark: part(someOf(...marks)),
    font: part(label),
    corner: part(Joi.number().min(0).max(60)),
    sizes: Joi.object(sizes),
  });
};
const anything = Joi.object().unknown();

/** The fields of the frame itself, by name. */
export const frameFields = {
  name: Joi.string().min(1).max(120).required(),
  address: Joi.object({
    scheme: Joi.string().pattern(/^[a-z][a-z0-9+.-]*$/, "URL scheme"),
    hosts: Joi.array().items(Joi.string().max(253)),
    running: someOf("open", "rebuild"),
    lost: id,
  }),
  targets: Joi.array()
    .items(
      Joi.object({ id: id.required(), label: label.required(), systemBack: Joi.boolean(), edgeSwipe: Joi.boolean() }),
    )
    .min(1),
  bands: Joi.array()
    .items(Joi.object({ id: id.required(), from: amount.required() }))
    .min(1),
  short: amount,
  facts: Joi.array().items(
    Joi.object({
      id: id.required(),
      label: label.required(),
      values: Joi.array().items(Joi.string().max(60)).min(2),
      launch: factValue,
      lasting: Joi.boolean(),
    }),
  ),
  relaunch: someOf("nothing", "place", "everything"),
  motions: byId(motion),
  motion: motionTable,
  calm: id,
  theme: themeOf((value) => value),
  icons: Joi.object().pattern(ownIconName, ownIcon),
  vary: Joi.array().items(
    Joi.object({
      ...views,
      set: Joi.object({
        motion: Joi.object(Object.fromEntries(Object.keys(motionChoices).map((kind) => [kind, id.allow(null)]))),
        calm: id,
        theme: themeOf((value) => value.allow(null)),
        lost: id,
      })
        .min(1)
        .required(),
    }),
  ),
  journeys: Joi.array().items(
    Joi.object({
      id: id.required(),
      name: label.required(),
      view: anything.required(),
      url: Joi.string(),
      facts: byId(factValue),
      steps: Joi.array()
        .items(Joi.object({ event: anything.required(), see: anything }))
        .required(),
    }),
  ),
  linkCases: Joi.array().items(
    Joi.object({
      id: id.required(),
      url: Joi.string().required(),
      start: someOf("cold", "running").required(),
      facts: byId(factValue),
      see: anything.required(),
    }),
  ),
  quiet: Joi.array().items(
    Joi.object({ rule: Joi.string().max(60).required(), node: id, why: Joi.string().max(400).required() }),
  ),
};

/** All nodes of a frame, or some. */
export const nodes = byId(node);

/** The whole frame file. */
export const frame = Joi.object({
  format: Joi.valid("handy-frame/2").required(),
  ...frameFields,
  root: id.required(),
  nodes: nodes.required(),
});
