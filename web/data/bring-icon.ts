import { type Edit, equal, type Frame, iconNameFrom, type OwnIcon, textFaults } from "../../core/index.js";
import { ProblemError } from "./problem.js";
import { request } from "./request.js";

/** A drawing larger than this is no icon, bytes. */
const mostBytes = 200_000;

/** An icon of a frame's own, and the edit that brings it in; null where the frame has it already. */
export interface BroughtIcon {
  name: string;
  edit: Edit | null;
}

/** The names of the icons that come with the tool. */
const packageIcons = (): Promise<string[]> => request<string[]>("/icons/names");

const refused = (detail: string): ProblemError => new ProblemError(422, "That cannot be an icon", detail);

/**
 * Makes an icon of an SVG drawing, called as its file, and as nothing that is there already. Throws a `ProblemError` with
 * what is wrong with it and what to do.
 */
export const bringIcon = async (file: File, frameNow: () => Frame): Promise<BroughtIcon> => {
  if (file.type !== "image/svg+xml" && !/\.svg$/i.test(file.name))
    throw refused(`${file.name} is no SVG drawing: an icon is made of shapes, as SVG has them.`);
  if (file.size > mostBytes)
    throw refused(`It has ${Math.round(file.size / 1000)} kB: an icon is small, ${mostBytes / 1000} kB at most.`);
  const svg = await file.text();
  if (textFaults(svg).length > 0) throw refused(`${file.name} holds what no text can: it is no SVG drawing.`);
  const [icon, names] = await Promise.all([
    request<OwnIcon>("/api/icons", { method: "POST", body: { svg } }),
    packageIcons(),
  ]);
  const icons = frameNow().icons ?? {};
  const same = Object.keys(icons).find((name) => equal(icons[name], icon));
  if (same !== undefined) return { name: same, edit: null };
  const taken = new Set([...names, ...Object.keys(icons)]);
  const name = iconNameFrom(file.name, (other) => taken.has(other));
  return { name, edit: { kind: "setFrame", key: "icons", value: { ...icons, [name]: icon } } };
};
