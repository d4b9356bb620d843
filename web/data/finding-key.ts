import type { Finding } from "../../core/index.js";

/** What a finding is known by while it is told anew after each edit. */
export const keyOf = ({ code, node, key, says }: Finding): string => [code, node ?? "", key ?? "", says].join("|");
