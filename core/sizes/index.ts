export { apartSays, changesBySize, type SizeChange } from "./apart.js";
export {
  type DevicePreset,
  devicePreset,
  devicePresets,
  type DeviceShape,
  turned,
  usualSize,
  viewOn,
  widened,
} from "./devices.js";
export { type SizeRow, sizeRows } from "./rows.js";
export { tour, type TourFound, tourStops } from "./tour.js";
