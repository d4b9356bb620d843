export { addressesOf, type Target as LinkTarget, targetOfLink } from "./addresses.js";
export { linkTo } from "./link.js";
export { type Shadow, shadowsOf } from "./shadows.js";
