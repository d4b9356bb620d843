export { checksAsSarif, faultsAsSarif, type LineOf } from "./checks-sarif.js";
export { motionsAsCss, type NamedMotion } from "./motion-css.js";
export { motionsAsTokens, readMotionTokens, type TokensRead } from "./motion-tokens.js";
