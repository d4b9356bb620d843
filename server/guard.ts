import { isIP } from "node:net";
import type { RequestHandler } from "express";
import { Problem } from "./problem.js";

const hostName = (host: string): string => host.replace(/:\d+$/, "").toLowerCase();
/** An address by number is nobody's name, so no other page can have been bound to it. */
const isNumber = (host: string): boolean => isIP(host.replaceAll(/^\[|\]$/g, "")) !== 0;

/** Answers only requests for the host names it serves: another page's name bound to this address gets nothing. */
export const servedHosts = (hosts: readonly string[]): RequestHandler => {
  const known = new Set(["localhost", "127.0.0.1", "[::1]", ...hosts.map((host) => host.toLowerCase())]);
  return (request, _response, next) => {
    const { host } = request.headers;
    if (!host || !(known.has(hostName(host)) || isNumber(hostName(host))))
      throw new Problem(
        "wrong-host",
        `Received the host ${host ?? "nothing"}; open the address that was printed at the start.`,
      );
    next();
  };
};

/** Takes writes from its own pages alone; a program that is no browser sends no Origin. */
export const ownWrites: RequestHandler = (request, _response, next) => {
  if (["GET", "HEAD", "OPTIONS"].includes(request.method)) return next();
  const { origin } = request.headers;
  // as a proxy says it, where that is to be believed
  const { host } = request;
  const site = request.headers["sec-fetch-site"];
  const foreign =
    origin !== undefined
      ? !URL.canParse(origin) || new URL(origin).host !== host
      : site !== undefined && site !== "same-origin" && site !== "none";
  if (foreign) throw new Problem("wrong-origin", `Received a write from ${origin ?? "another site"}.`);
  next();
};
