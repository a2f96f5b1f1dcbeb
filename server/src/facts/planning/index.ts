export { planningNames, slotSaid } from './names';
export { plannedRota } from './planned-rota';
export { openingKey, publishedReasons } from './reasons';
export { type RotaFacts, rotaOf, standingAt } from './rota';
export { lockOf, planningSeason, type PlanningSeason, type SiteSlot } from './season-facts';
