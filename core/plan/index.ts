export { fitPlan, type PlanShows } from "./fit.js";
export { planLayout } from "./layout.js";
export type { Card, PaneHead, PlanLayout, Plate } from "./placed.js";
export { stepsOf } from "./steps.js";
