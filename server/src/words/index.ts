export { inEnglish, inLanguage } from './languages';
export { say } from './said';
