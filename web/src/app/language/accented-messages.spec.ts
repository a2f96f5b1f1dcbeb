import { accented } from '@brave-comb/core/words';
import { accentedMessage } from './accented-messages';

describe('a message in the language that nobody speaks', () => {
  it.each([
    ['Briefing', accented('Briefing')],
    ['', ''],
    ['{INTERPOLATION} eggs', `{INTERPOLATION}${accented(' eggs')}`],
    [
      '{VAR_PLURAL, plural, =1 {one side} other {{INTERPOLATION} sides}}',
      `{VAR_PLURAL, plural, =1 {${accented('one side')}} other {{INTERPOLATION}${accented(' sides')}}}`,
    ],
    [
      '{VAR_SELECT, select, true {{VAR_SELECT_1, select, yes {on} other {off}}} other {}}',
      `{VAR_SELECT, select, true {{VAR_SELECT_1, select, yes {${accented('on')}} other {${accented('off')}}}} other {}}`,
    ],
    [
      '{VAR_SELECT, select, a {<b>now</b> or never}}',
      `{VAR_SELECT, select, a {<b>${accented('now')}</b>${accented(' or never')}}}`,
    ],
  ])('%s keeps keywords, values and tags', (message, said) => {
    expect(accentedMessage(message)).toBe(said);
  });
});
