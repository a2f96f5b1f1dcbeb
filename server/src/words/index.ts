export { inEnglish, inLanguage } from './languages';
export { withOurSentences } from './our-words';
export { type Thing } from './refusals';
export { say } from './said';
