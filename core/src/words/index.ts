export * from './en';
export { americanDates, britishDates } from './en/dates';
export * from './languages';
export { type LanguageTag, languageFor } from './names';
export { accented, pseudoOf } from './pseudo';
