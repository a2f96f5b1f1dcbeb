export { inEnglish, inLanguage } from './languages';
export { withOurSentences } from './our-words';
export { say } from './said';
