export { arrange, arrangeSurface, type DrawnScreen, plainRegion, type Region } from "./arrange.js";
