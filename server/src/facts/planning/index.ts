export { type HandFacts, handFacts, handTroubles } from './by-hand';
export { planningNames, slotSaid } from './names';
export { plannedRota } from './planned-rota';
export { openingKey, publishedReasons } from './reasons';
export { type RotaFacts, rotaOf, standingAt } from './rota';
export { lockOf, planningSeason, type PlanningSeason, type SiteSlot, WALK_OUT } from './season-facts';
