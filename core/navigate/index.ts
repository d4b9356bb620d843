export { askerOf } from "./asking.js";
export { canGoUp, upTakes } from "./back.js";
export type { NavigationEvent, ViewChange } from "./event.js";
export { focusPath, topOf } from "./focus.js";
export { readEvent } from "./read-event.js";
export { refit } from "./refit.js";
export { type ScreenScene, type SeenBar, drawerOf, sightOf } from "./sight.js";
export { type Entry, isStuck, type ScreenEntry, type State, type Ui } from "./state.js";
export { launch, type Step, step, stepThrough, viewAfter } from "./step.js";
