export * from './bloom';
export * from './degree-days';
export * from './forage';
export * from './plants';
export * from './pollen';
export * from './usual';
