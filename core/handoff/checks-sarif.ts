import type { ToldFinding } from "../check/finding.js";
import { groups, type Severity } from "../check/rule.js";
import { rules } from "../check/rules.js";
import { whereSays } from "../check/words.js";
import { type Fault, faultLine } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";
import type { Frame } from "../frame/types.js";

// Findings in the Static Analysis Results Interchange Format (OASIS SARIF 2.1.0), for tools that show such results beside the
// file they are about.

/** Where in the text of the file something stands: the line of a JSON Pointer, from 1. */
export type LineOf = (pointer: string) => number;

type Level = "error" | "warning" | "note";

const levels: Readonly<Record<Severity, Level>> = { fault: "error", doubt: "warning", hint: "note" };

const schema = "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json";

/** The place in the file that a finding is about: its key where the node has it, else the node, else the whole. */
const pointerOf = (frame: Frame, { node, key }: ToldFinding): string => {
  const there = node === null ? undefined : frame.nodes[node];
  if (node === null || !there) return "";
  return key !== null && key in there ? pointer("nodes", node, key) : pointer("nodes", node);
};

const locationsOf = (uri: string, at: string, lineOf: LineOf) => [
  {
    physicalLocation: { artifactLocation: { uri }, region: { startLine: lineOf(at) } },
    logicalLocations: [{ fullyQualifiedName: at || "/", kind: "member" }],
  },
];

const resultOf = (frame: Frame, uri: string, finding: ToldFinding, lineOf: LineOf) => {
  const { code, severity, says, detail, where, quiet } = finding;
  const text = [says, where.length ? `on ${whereSays(frame, where)}` : "", detail].filter(Boolean).join(". ");
  return {
    ruleId: code,
    ruleIndex: rules.findIndex((rule) => rule.code === code),
    level: levels[severity],
    message: { text: `${text}.` },
    locations: locationsOf(uri, pointerOf(frame, finding), lineOf),
    ...(quiet !== null && { suppressions: [{ kind: "inSource" as const, justification: quiet }] }),
  };
};

const logOf = (results: readonly object[]) => ({
  $schema: schema,
  version: "2.1.0" as const,
  runs: [
    {
      tool: {
        driver: {
          name: "Handy Frame",
          rules: rules.map(({ code, suffers, why, severity, group }) => ({
            id: code,
            shortDescription: { text: suffers },
            fullDescription: { text: why },
            defaultConfiguration: { level: levels[severity] },
            properties: { tags: [groups[group]] },
          })),
        },
      },
      columnKind: "utf16CodeUnits" as const,
      results,
    },
  ],
});

/** What is wrong with the app of a frame file; `uri` names the file. */
export const checksAsSarif = (frame: Frame, uri: string, findings: readonly ToldFinding[], lineOf: LineOf) =>
  logOf(findings.map((finding) => resultOf(frame, uri, finding, lineOf)));

/** What is wrong in a file that is no sound frame. */
export const faultsAsSarif = (uri: string, faults: readonly Fault[], lineOf: LineOf) =>
  logOf(
    faults.map((fault) => ({
      ruleId: fault.code ?? "form",
      level: "error" as const,
      message: { text: faultLine(fault) },
      locations: locationsOf(uri, fault.pointer, lineOf),
    })),
  );
