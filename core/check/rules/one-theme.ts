import { colourNames } from "../../frame/parts.js";
import { list } from "../../says/words.js";
import type { Rule } from "../rule.js";

/** Finds colours that are set in one of the two themes alone. */
export const oneTheme: Rule = {
  code: "one-theme",
  group: "looks",
  severity: "hint",
  suffers: "In the other theme a part of the app has a colour that goes with nothing.",
  why: "A colour that is set in one theme alone keeps its plain value in the other.",
  find: ({ views }) =>
    views.flatMap((view) => {
      const { light = {}, dark = {} } = view.lens.app.theme;
      const alone = colourNames.filter((name) => (light[name] === undefined) !== (dark[name] === undefined));
      return alone.length === 0
        ? []
        : [
            {
              node: null,
              views: [view],
              says: "Colours are set in one theme alone",
              detail: list(alone),
            },
          ];
    }),
};
