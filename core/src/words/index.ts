export * from './en';
export * from './languages';
export { type LanguageTag, languageFor } from './names';
export { accented, pseudoOf } from './pseudo';
