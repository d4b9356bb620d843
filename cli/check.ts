import { type Command, InvalidArgumentError, Option } from "commander";
import {
  boundsSay,
  checkedAtOnce,
  checksAsSarif,
  Checking,
  type CheckReport,
  faultLine,
  faultsAsSarif,
  type Frame,
  proofsOverall,
  proofTitles,
  type Severity,
  severities,
  type Told,
  type ToldFinding,
  toldOf,
  whereSays,
} from "../core/index.js";
import { linesOf } from "../shape/line-of.js";
import { readFrame } from "../shape/read.js";
import { faultLines, readInput } from "./input.js";
import type { Terminal } from "./terminal.js";

interface Options {
  format: "text" | "json" | "sarif";
  walk?: true;
  maxStates: number;
  failOn: Severity;
}

/** States that are gone on from at a time. */
const slice = 10_000;

/** What was found, and what was walked for it. */
type Reported = Told & Pick<CheckReport, "walks">;

/** What the frame alone shows, and with a walk what that does. */
const reported = (frame: Frame, { walk, maxStates }: Options): Reported => {
  const looked = checkedAtOnce(frame);
  if (!walk) return { ...toldOf(frame, looked.findings, null), walks: [] };
  const checking = new Checking(frame, { mostStates: maxStates });
  while (checking.advance(slice));
  const walked = checking.report();
  return { ...toldOf(frame, looked.findings, walked.findings), walks: walked.walks };
};

const findingLine = (
  file: string,
  frame: Frame,
  { severity, code, node, says, detail, where, quiet }: ToldFinding,
): string => {
  const places = whereSays(frame, where);
  const more = [places && `on ${places}`, detail].filter(Boolean).join(", ");
  const at = node === null ? "" : ` [${node}]`;
  return `${file}: ${quiet === null ? severity : "silenced"} ${code}${at}: ${says}${more && `. ${more}`}${quiet === null ? "" : `. ${quiet}`}`;
};

const asText = (file: string, frame: Frame, { findings, stale, walks }: Reported): string[] => {
  const heard = findings.filter(({ quiet }) => quiet === null);
  const proofs = proofsOverall({ walks }).map(({ id, holds, broken, states }) =>
    holds
      ? `${file}: holds in ${states} states: ${proofTitles[id]}`
      : `${file}: broken ${broken} times: ${proofTitles[id]}`,
  );
  const count = severities.map((severity) => {
    const number = heard.filter((finding) => finding.severity === severity).length;
    return `${number === 0 ? "no" : number} ${severity}${number === 1 ? "" : "s"}`;
  });
  const silenced = findings.length - heard.length;
  return [
    ...findings.map((finding) => findingLine(file, frame, finding)),
    ...stale.map(
      ({ rule, node }) => `${file}: ${rule}${node === null ? "" : ` [${node}]`} is silenced, and not there any more`,
    ),
    ...proofs,
    ...(walks.length
      ? boundsSay(
          frame,
          walks.map(({ walk }) => walk),
        ).map((bound) => `${file}: ${bound}`)
      : []),
    `${file}: ${count.join(", ")}${silenced ? `, ${silenced} silenced` : ""}.`,
  ];
};

/** A path as a relative reference (RFC 3986). */
const pathToUri = (path: string): string => path.replaceAll("\\", "/").split("/").map(encodeURIComponent).join("/");

const check = async (file: string, options: Options, terminal: Terminal): Promise<void> => {
  const { format, failOn } = options;
  const input = await readInput(file, terminal);
  const result = readFrame(input);
  const faults = result.ok ? [] : result.faults;
  const report = result.ok ? reported(result.frame, options) : null;
  if (format === "sarif") {
    const lineOf = linesOf(new TextDecoder().decode(input));
    const uri = file === "-" ? "stdin" : pathToUri(file);
    const log =
      result.ok && report
        ? checksAsSarif(result.frame, uri, report.findings, lineOf)
        : faultsAsSarif(uri, faults, lineOf);
    terminal.print(`${JSON.stringify(log, null, 2)}\n`);
  } else if (format === "json") terminal.print(`${JSON.stringify({ file, faults, ...report }, null, 2)}\n`);
  else if (result.ok && report) terminal.print(`${asText(file, result.frame, report).join("\n")}\n`);
  else terminal.print(`${faults.map((fault) => `${file}: ${faultLine(fault)}`).join("\n")}\n`);
  const least = severities.indexOf(failOn);
  const isFailed = report?.findings.some(
    ({ severity, quiet }) => quiet === null && severities.indexOf(severity) <= least,
  );
  if (faults.length === 0) {
    if (isFailed) terminal.code = 1;
    return;
  }
  if (format !== "text") terminal.complain(`${faultLines(file, faults).join("\n")}\n`);
  // a text that is no frame at all cannot be checked; a frame with faults was checked, and they were found
  terminal.code = faults.some((fault) => fault.pointer === "") ? 2 : 1;
};

const asCount = (text: string): number => {
  const count = Number(text);
  if (!Number.isInteger(count) || count < 1) throw new InvalidArgumentError("Give a number from 1.");
  return count;
};

export const addCheck = (program: Command, terminal: Terminal): void => {
  program
    .command("check")
    .description("find what is wrong in a frame file, and with the app it describes")
    .argument("<file>", "a frame file, or - for standard input")
    .addOption(new Option("--format <format>", "how to print").choices(["text", "json", "sarif"]).default("text"))
    .option("--walk", "go through every state that can be reached, and prove what holds in all of them")
    .addOption(
      new Option("--max-states <count>", "states to walk in each view, at most").argParser(asCount).default(200_000),
    )
    .addOption(
      new Option("--fail-on <severity>", "end with 1 where something so bad, or worse, is found")
        .choices(["fault", "doubt"])
        .default("fault"),
    )
    .action((file: string, options: Options) => check(file, options, terminal));
};
