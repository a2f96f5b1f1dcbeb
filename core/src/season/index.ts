export * from './forage';
