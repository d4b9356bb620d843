import {
  check,
  checkedOf,
  type Finding,
  type Frame,
  groups,
  keysOf,
  reportOf,
  rules,
  Walk,
  walkedClasses,
} from "../core/index.js";
import { checkExamples } from "../core/testing/check-examples.js";

/** What a rule finds in a frame. */
const foundIn = (frame: Frame, code: string): Finding[] => {
  const walks = walkedClasses(frame).map(({ view }) => {
    const walk = new Walk(frame, view);
    while (walk.advance(1000));
    return reportOf(walk);
  });
  return check(checkedOf(frame, walks)).findings.filter((finding) => finding.code === code);
};

const examplesOf = (code: string): string[] => {
  const example = checkExamples[code];
  const [first] = example ? foundIn(example.faulty, code) : [];
  if (!first) return [];
  const { says, detail, mends } = first;
  const mended = mends.map(({ label, says: comes }) => `${label} (${comes})`).join("; ");
  return [`* For example: ${says}${detail && `: ${detail}`}.`, ...(mended ? [`* Mended by: ${mended}.`] : [])];
};

/** A text in lines of up to 140 letters. */
const inLines = (text: string): string =>
  text
    .split(" ")
    .reduce<string[]>((lines, word) => {
      const last = lines.at(-1);
      return last !== undefined && last.length + word.length < 140
        ? [...lines.slice(0, -1), `${last} ${word}`]
        : [...lines, word];
    }, [])
    .join("\n");

const opening = `# What is checked

Made from the rules themselves by \`npm run checks-doc\`. A *fault* breaks the app for whoever uses it, a *doubt* may well be one, a *hint* could be better.
The code of a rule is what \`handy-frame check\` prints, and what \`quiet\` in a frame file names to silence it for a node, with a reason.
Rules marked *walk* ask a walk through every state that can be reached: on the command line they want \`--walk\`.
`;

/** The page that tells of every rule. */
export const checksDoc = (): string => {
  const parts = keysOf(groups).map((group) => {
    const own = rules.filter((rule) => rule.group === group);
    const each = own.map(({ code, severity, suffers, why, needsWalk }) =>
      [
        `### \`${code}\``,
        "",
        `${severity}${needsWalk ? ", walk" : ""}. ${suffers}`,
        "",
        inLines(why),
        "",
        ...examplesOf(code),
      ].join("\n"),
    );
    return [`## ${groups[group]}`, ...each].join("\n\n");
  });
  return `${[opening.trimEnd(), ...parts].join("\n\n")}\n`;
};
