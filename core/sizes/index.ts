export { type Apart, apartSays, changesBySize, type SizeChange } from "./apart.js";
export {
  type DevicePreset,
  devicePreset,
  devicePresets,
  type DeviceShape,
  type DeviceUse,
  turned,
  usualSize,
  viewOn,
  widened,
} from "./devices.js";
export { type SizeRow, sizeRows } from "./rows.js";
export { tour, type TourFound, type TourStop, tourStops } from "./tour.js";
