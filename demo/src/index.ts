export * from './follow-ups';
export * from './forage';
export * from './hives';
export * from './people';
export * from './planning';
export * from './schools';
export * from './sessions';
export * from './visits';
