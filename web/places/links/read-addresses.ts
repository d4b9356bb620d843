import { firstOf } from "../../../core/index.js";
import Papa from "papaparse";
import type { GivenAddress } from "../../../core/index.js";

export type ReadResult = { ok: true; kind: string; given: GivenAddress[] } | { ok: false; why: string };

const addressNames = /^(address|path|pattern|url|uri|link|loc|route)$/i;
const titleNames = /^(title|name|label|screen|page)$/i;
const looksLikeAddress = (text: string): boolean => /^(\/|[a-z][a-z0-9+.-]*:\/\/)/i.test(text.trim());

/** A sitemap (sitemaps.org 0.9): what stands in its `loc`s. */
const readSitemap = (text: string): ReadResult => {
  const document = new DOMParser().parseFromString(text, "application/xml");
  const fault = document.querySelector("parsererror");
  if (fault) {
    const [, line] = /line (\d+)/.exec(fault.textContent ?? "") ?? [];
    return { ok: false, why: `This is no sound XML${line ? `: look at line ${line}` : ""}.` };
  }
  const root = document.documentElement;
  if (root.localName === "sitemapindex")
    return { ok: false, why: "This is an index of sitemaps: bring in the sitemaps that it names, one by one." };
  if (root.localName !== "urlset")
    return { ok: false, why: `This is XML of another kind (${root.localName}); expected a sitemap with a urlset.` };
  const given = [...root.getElementsByTagNameNS("*", "loc")].map((loc, i) => ({
    address: loc.textContent?.trim() ?? "",
    line: i + 1,
  }));
  return given.length ? { ok: true, kind: "a sitemap", given } : { ok: false, why: "The sitemap names no addresses." };
};

/** Values with commas, semicolons or tabs between (RFC 4180); a first row of names says which column is which. */
const readTable = (text: string): ReadResult => {
  const { data, errors } = Papa.parse<string[]>(text, {
    skipEmptyLines: "greedy",
    delimitersToGuess: [",", ";", "\t"],
  });
  const fault = errors.find(({ type }) => type === "Quotes");
  if (fault) return { ok: false, why: `A quote is not closed as it should be, in row ${(fault.row ?? 0) + 1}.` };
  const [first = []] = data;
  const named = first.findIndex((cell) => addressNames.test(cell.trim()));
  const column = named >= 0 ? named : first.findIndex(looksLikeAddress);
  if (column < 0)
    return {
      ok: false,
      why: "No column is named address, path, url, link or loc, and none begins with / or https://.",
    };
  const titles = named >= 0 ? first.findIndex((cell) => titleNames.test(cell.trim())) : -1;
  const rows = named >= 0 ? data.slice(1) : data;
  const given = rows.map((row, i) => {
    const title = titles >= 0 ? row[titles]?.trim() : undefined;
    return { address: row[column] ?? "", line: i + (named >= 0 ? 2 : 1), ...(title && { title }) };
  });
  return { ok: true, kind: "a table", given };
};

/** One address to a line, a title behind it if there is one. */
const readList = (text: string): ReadResult => {
  const given = text.split(/\r?\n/).flatMap((row, i) => {
    const [, address = "", title] = /^\s*(?:[-*•]\s+|\d+[.)]\s+)?(\S+)(?:\s+(.*\S))?\s*$/.exec(row) ?? [];
    return address ? [{ address, line: i + 1, ...(title && { title }) }] : [];
  });
  return { ok: true, kind: "a list", given };
};

/** Reads addresses from a list, a table or a sitemap, whichever the text is. */
export const readAddresses = (text: string): ReadResult => {
  const plain = text.replace(/^\uFEFF/, "").trim();
  if (plain === "") return { ok: true, kind: "", given: [] };
  if (plain.startsWith("<")) return readSitemap(plain);
  const [first = ""] = plain.split(/\r?\n/, 1);
  const cells = first.split(/[,;\t]/).map((cell) => cell.replace(/^"|"$/g, "").trim());
  const isTable =
    cells.length > 1
      ? cells.some((cell) => addressNames.test(cell) || looksLikeAddress(cell))
      : addressNames.test(firstOf(cells));
  return isTable ? readTable(plain) : readList(plain);
};
