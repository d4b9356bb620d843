export { freeJourneyId, isLaunch, journeyOf, playJourney, type PlayedJourney, viewOfJourney } from "./journey.js";
