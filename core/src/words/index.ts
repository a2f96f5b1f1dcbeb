export * from './en';
export * from './languages';
export { accented, pseudoOf } from './pseudo';
