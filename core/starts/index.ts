export { startingShapes } from "./starts.js";
