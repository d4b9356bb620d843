export {
  freeJourneyId,
  isLaunch,
  journeyOf,
  playJourney,
  type PlayedJourney,
  type PlayedStep,
  type RecordedStep,
  viewOfJourney,
} from "./journey.js";
