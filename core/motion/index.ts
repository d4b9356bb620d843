export {
  type Cascade,
  type CascadeLevel,
  cascadeOf,
  type CascadeStep,
  type MotionCase,
  motionKindOf,
  motionOf,
  scrimOf,
} from "./cascade.js";
export { type Drawn, type DrawnLayer, type DrawnPart, drawnOf } from "./drawn.js";
export { goesOn, lead, type LedMove, ledTo, letGo, takenBack } from "./lead.js";
export { layerId, type MoverId } from "./layers.js";
export { bareOf, type Measure, measure } from "./measure.js";
export { type Mover, moverAt, passedBy } from "./mover.js";
export { begin, type Led, type Moving, movingAt, nextEnd, still } from "./moving.js";
export { trackPath, trackMs, type TrackProperty } from "./path.js";
export { atRest, type LayerSample, mirroredLayer, type MotionSample, sample, shapeMs } from "./sample.js";
export { type LayerName, mirror, shapeOf, type Toward } from "./shape.js";
export { type Part, type Shot, shotOf } from "./shot.js";
export { type Spring, springFor, type SpringWish } from "./spring.js";
export { turnedAt } from "./turned.js";
