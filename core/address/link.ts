import { shown } from "../frame/fault.js";
import type { Address } from "../frame/parts.js";
import { decoded, isDots } from "../frame/pattern.js";

/** A link taken apart: the path, still percent-encoded, its dots resolved, and the query without its `?`. */
export interface LinkParts {
  path: string;
  query: string;
}

/** Why a link is none of this app's: it is malformed, or it leads to something else. */
export interface NoLink {
  malformed: boolean;
  reason: string;
}

/** A link in its parts, or why it is none of the app's. */
export type LinkResult = { ok: true; link: LinkParts } | ({ ok: false } & NoLink);

const malformed = (reason: string): LinkResult => ({ ok: false, malformed: true, reason });
const foreign = (reason: string): LinkResult => ({ ok: false, malformed: false, reason });

/** The path with its single- and double-dot segments resolved, as a URL parser does. */
const resolved = (path: string): string => {
  const parts = path.slice(1).split("/");
  if (!parts.some(isDots)) return path;
  const kept: string[] = [];
  for (const [i, part] of parts.entries()) {
    const isLast = i === parts.length - 1;
    if (!isDots(part)) kept.push(part);
    else {
      if (part.replaceAll(/%2e/gi, ".") === "..") kept.pop();
      if (isLast) kept.push("");
    }
  }
  return `/${kept.join("/")}`;
};

/** The first thing in a path that is no percent-encoding of a text. */
const badEncoding = (path: string): string => {
  const found = path.split("/").find((segment) => decoded(segment) === null) ?? path;
  return shown(found.slice(Math.max(0, found.indexOf("%"))), 24);
};

const parted = (rest: string): LinkParts => {
  const [before = ""] = rest.split("#", 1);
  const at = before.indexOf("?");
  const path = at < 0 ? before : before.slice(0, at);
  return { path: path === "" ? "/" : path, query: at < 0 ? "" : before.slice(at + 1) };
};

const known = ({ scheme, hosts = [] }: Address): string =>
  [
    ...(scheme ? [`${scheme}://`] : []),
    ...hosts.map((host) => `https://${host}`),
    "a path, which begins with a slash",
  ].join(", ");

/** What stands behind `https:`, of which the host must be listed. */
const fromHost = (address: Address, rest: string): LinkResult | string => {
  const [, authority = "", path = ""] = /^[/\\]{2}([^/\\?#]*)(.*)$/s.exec(rest) ?? [];
  const host = authority
    .replace(/^.*@/s, "")
    .replace(/:(443)?$/, "")
    .toLowerCase();
  if (host === "") return malformed("it names no host");
  if (!(address.hosts ?? []).some((each) => each.toLowerCase() === host))
    return foreign(`${shown(host)} is no host of this app: it listens to ${known(address)}`);
  return path;
};

/**
 * Reads a link to an app: `scheme://path`, `https://host/path` with one of its hosts, or `/path`. Like a URL parser (WHATWG
 * URL) it leaves out spaces at the ends, tabs and line ends anywhere, and what follows `#`, takes a backslash for a slash
 * but behind the app's own scheme, and resolves dots; percent-encoding that says no text is malformed.
 */
export const readLink = (address: Address = {}, given: string): LinkResult => {
  const text = given
    .toWellFormed()
    // eslint-disable-next-line no-control-regex
    .replace(/^[\u0000-\u0020]+|[\u0000-\u0020]+$/g, "")
    .replace(/[\t\n\r]/g, "");
  const [, scheme, rest = ""] = /^([a-z][a-z0-9+.-]*):(.*)$/is.exec(text) ?? [];
  let after: LinkResult | string;
  const isOwn = scheme !== undefined && scheme.toLowerCase() === address.scheme?.toLowerCase();
  if (text === "") return malformed("it is empty");
  if (isOwn) {
    if (!rest.startsWith("//")) return malformed(`behind ${scheme}: comes //, then the path`);
    after = rest.startsWith("///") ? rest.slice(2) : `/${rest.slice(2)}`;
  } else if (scheme?.toLowerCase() === "https") after = fromHost(address, rest);
  else if (scheme !== undefined)
    return foreign(`${shown(`${scheme.slice(0, 24)}:`)} is no scheme of this app: it listens to ${known(address)}`);
  else if (/^[/\\]{2}/.test(text)) after = fromHost(address, text);
  else if (text.startsWith("/")) after = text;
  else return malformed(`it is ${shown(text, 40)}; expected ${known(address)}`);
  if (typeof after !== "string") return after;

  const link = parted(after);
  if (!isOwn) link.path = link.path.replaceAll("\\", "/");
  if (decoded(link.path) === null) return malformed(`${badEncoding(link.path)} is no valid percent-encoding`);
  return { ok: true, link: { ...link, path: resolved(link.path) } };
};

/** The link to a path of the app as it is given to others: by its first host, else by its scheme, else the path itself. */
export const linkTo = ({ scheme, hosts = [] }: Address = {}, path: string): string =>
  hosts[0] !== undefined ? `https://${hosts[0]}${path}` : scheme ? `${scheme}://${path.slice(1)}` : path;
