export { inEnglish } from './en';
export { say } from './said';
