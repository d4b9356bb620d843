import { sure } from "../../core/index.js";
// What is wrong with a text that was typed, in one line that says what is expected; null when it can be taken.

export type Wrong = (text: string) => string | null;

/** A whole number in a range, ends included; `empty` says whether nothing may be typed too. */
export const wrongWhole =
  (least: number, most: number, empty = false): Wrong =>
  (text) => {
    const typed = text.trim();
    if (empty && typed === "") return null;
    const isIn = /^\d{1,7}$/.test(typed) && Number(typed) >= least && Number(typed) <= most;
    return isIn ? null : `a whole number from ${least} to ${most}${empty ? ", or nothing" : ""}`;
  };

export const wrongEmpty: Wrong = (text) => (text.trim() === "" ? "a name: it cannot be empty" : null);

export const wrongHex: Wrong = (text) =>
  text.trim() === "" || /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.test(text.trim())
    ? null
    : "a colour such as #2F6B3A, or nothing";

/** A colour as it is kept; undefined where nothing was typed. */
export const readHex = (text: string): string | undefined => {
  const hex = text.trim().replace(/^#/, "").toUpperCase();
  return hex === "" ? undefined : `#${hex}`;
};

export const wrongBadge: Wrong = (text) =>
  /^(|dot|\d{1,5})$/.test(text.trim()) ? null : "a number up to 99999, dot, or nothing";

/** Resting heights in percent, as fractions; null when they are none that rise. */
export const readRests = (text: string): number[] | null => {
  const parts = text.split(/[\s,;%]+/).filter(Boolean);
  const rests = parts.map((part) => Number(part) / 100);
  const isRising = rests.every((rest, i) => rest > 0 && rest <= 1 && (i === 0 || rest > sure(rests[i - 1])));
  return rests.length > 0 && isRising ? rests : null;
};
export const wrongRests: Wrong = (text) =>
  readRests(text) ? null : "heights from 1 to 100 percent, each higher than the one before, such as 50, 86";

/** Named values, `name = value; name = value`; null when a part is no such thing. */
export const readTemplate = (text: string): Record<string, string> | null => {
  const values: Record<string, string> = {};
  for (const part of text.split(";")) {
    if (part.trim() === "") continue;
    const [, name, value] = /^\s*([A-Za-z_]\w*)\s*=\s*(.*?)\s*$/.exec(part) ?? [];
    if (name === undefined || Object.hasOwn(values, name)) return null;
    values[name] = sure(value);
  }
  return values;
};
export const wrongTemplate: Wrong = (text) =>
  readTemplate(text) ? null : "name = value; name = value, each name once, such as litres = {draft.litres}";

/** Names in a row; null when one is none. */
export const readNames = (text: string): string[] | null => {
  const names = text.split(/[\s,;]+/).filter(Boolean);
  return names.every((name) => /^[A-Za-z_]\w*$/.test(name)) ? [...new Set(names)] : null;
};
export const wrongScheme: Wrong = (text) =>
  /^([a-z][a-z0-9+.-]{0,39})?$/.test(text.trim()) && text.trim() !== "https"
    ? null
    : "small letters, digits, + . -, such as allotment, or nothing";

export const wrongHosts: Wrong = (text) =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .every((host) => /^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$/i.test(host))
    ? null
    : "names of hosts without https:// and path, such as diary.example";

/** The values of a fact: two names or more, or none for yes and no. */
export const wrongValues: Wrong = (text) => {
  const names = readNames(text);
  return names && names.length !== 1
    ? null
    : "two names or more, such as out, guest, member; or nothing for yes and no";
};
export const wrongNames: Wrong = (text) =>
  readNames(text) ? null : "names of letters, digits and _, such as litres, when";
