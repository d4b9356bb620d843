export { type Route, routesBetween } from "./routes.js";
export { type WayRow, wayRows } from "./table.js";
