import type { Command } from "commander";
import {
  arrange,
  factsOf,
  factValues,
  type FactValue,
  type Frame,
  launch,
  plainRegion,
  type NavigationEvent,
  readEvent,
  shown,
  snapshotOf,
  type Step,
  step,
  targetsOf,
  type View,
  viewAfter,
  viewOf,
} from "../core/index.js";
import { parseJson } from "../shape/json.js";
import { asLink, faultLines, readFrameFile, readInput } from "./input.js";
import type { Terminal } from "./terminal.js";
import { Unusable } from "./unusable.js";

interface PlayOptions {
  view: string;
  on?: string;
  url?: string;
  fact: string[];
  events?: string;
  regions?: boolean;
}

const viewFrom = (frame: Frame, options: PlayOptions): View => {
  const size = /^(\d{1,5})x(\d{1,5})$/.exec(options.view);
  const [width, height] = [Number(size?.[1]), Number(size?.[2])];
  if (!size || !width || !height || width > 10_000 || height > 10_000)
    throw new Unusable([
      `--view: received ${shown(options.view)}; expected a size in px from 1x1 to 10000x10000, such as 390x844.`,
    ]);
  const targets = targetsOf(frame).map((target) => target.id);
  if (options.on !== undefined && !targets.includes(options.on))
    throw new Unusable([`--on: received ${shown(options.on)}; expected one of the targets ${targets.join(", ")}.`]);
  return viewOf(frame, { width, height, target: options.on });
};

const factsFrom = (frame: Frame, given: string[]): Record<string, FactValue> => {
  const facts: Record<string, FactValue> = {};
  for (const text of given) {
    const [id = "", value = ""] = text.split(/=(.*)/s);
    const fact = factsOf(frame).find((candidate) => candidate.id === id);
    const found = fact && factValues(fact).find((candidate) => String(candidate) === value);
    if (found === undefined) {
      const known = factsOf(frame).map((each) => `${each.id}=${factValues(each).join("/")}`);
      throw new Unusable([
        `--fact: received ${shown(text)}; expected ${known.length ? `one of ${known.join(", ")}` : "none, as the frame has no facts"}.`,
      ]);
    }
    facts[id] = found;
  }
  return facts;
};

const eventsFrom = async (file: string, terminal: Terminal): Promise<NavigationEvent[]> => {
  const parsed = parseJson(await readInput(file, terminal));
  if (!parsed.ok) throw new Unusable(faultLines(file, parsed.faults));
  if (!Array.isArray(parsed.value))
    throw new Unusable([
      `${file}: received ${shown(parsed.value)}; expected a JSON array of events, such as [{"do":"back"}].`,
    ]);
  const read = parsed.value.map((value, i) => readEvent(value, [i]));
  const faults = read.flatMap((result) => (result.ok ? [] : [result.fault]));
  if (faults.length) throw new Unusable(faultLines(file, faults));
  return read.flatMap((result) => (result.ok ? [result.event] : []));
};

const play = async (file: string, options: PlayOptions, terminal: Terminal): Promise<void> => {
  const frame = await readFrameFile(file, terminal);
  let view = viewFrom(frame, options);
  const facts = factsFrom(frame, options.fact);
  if (options.url !== undefined) asLink(frame, "--url", options.url);
  const events = options.events === undefined ? [] : await eventsFrom(options.events, terminal);

  const printed = (at: Step) => ({
    ...snapshotOf(frame, view, at),
    ...(options.regions && { regions: arrange(frame, at.state, view).map(plainRegion) }),
  });
  let at = launch(frame, view, facts, options.url);
  const snapshots = [printed(at)];
  for (const event of events) {
    at = step(frame, view, at.state, event);
    view = viewAfter(frame, view, event);
    snapshots.push(printed(at));
  }
  terminal.print(`${JSON.stringify(snapshots, null, 2)}\n`);
};

export const addPlay = (program: Command, terminal: Terminal): void => {
  program
    .command("play")
    .description("run a frame and print a snapshot after the launch and after each event")
    .argument("<file>", "a frame file, or - for standard input")
    .option("--view <size>", "the device's screen in px", "390x844")
    .option("--on <target>", "the target, by its id")
    .option("--url <url>", "launch by a link")
    .option(
      "--fact <id=value>",
      "a fact at the launch; may be given again",
      (value: string, all: string[]) => [...all, value],
      [],
    )
    .option("--events <file>", "a JSON array of events")
    .option("--regions", "add the rectangles of what is on screen")
    .action((file: string, options: PlayOptions) => play(file, options, terminal));
};
