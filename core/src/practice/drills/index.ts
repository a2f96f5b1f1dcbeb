export { markTrouble, type CombPicture, combToRead, type Ground, NAMES } from './comb';
export * from './drill';
export { type Find, type FindDrill, type Touch, markTouches } from './find';
export { MADE_FRAMES } from './made-hive';
export { type NextDrill, colonyLines } from './next';
export { type OrderDrill, type OrderStep, markOrder } from './order';
export { bestReading, markReading, readShares, wrongEighths } from './reading';
export { STOP_ANSWERS, type StopAnswer, type StopDrill, momentSays } from './stop';
export { type WeatherAnswer, type WeatherDrill, hourSays, markHour } from './weather';
