// Reads situations for the command line and judges them; the core and the contract are TypeScript, so tsx loads them.
import { tsImport } from 'tsx/esm/api';
import { readJson } from './read-json.mjs';
import { Trouble } from './say.mjs';

const { SITUATION_FORMAT, UnfitSituation, judgeSituation } = await tsImport(
  '../../core/src/situation/index.ts',
  import.meta.url,
);
const { SituationFile } = await tsImport('../../contract/src/situation.ts', import.meta.url);
const { inEnglish } = await tsImport('../../core/src/words/index.ts', import.meta.url);

/**
 * Judges the situation of a file.
 *
 * @param file its path
 * @returns what the judges say, in English
 * @throws Trouble with a line for each fault
 */
export function adviseFrom(file) {
  const situation = readJson(file, SituationFile, `situation (${SITUATION_FORMAT})`);
  try {
    const { facts, advice } = judgeSituation(situation);
    const { hive, today: date, phase } = facts;
    return inEnglish({ format: 'colony-advice/1', title: situation.title ?? null, hive, date, phase, advice });
  } catch (error) {
    if (!(error instanceof UnfitSituation)) throw error;
    const lines = inEnglish(error.faults).map(({ path, says }) => `  ${path.join('.')}: ${says}`);
    throw new Trouble([`${file} cannot be judged; mend this:`, ...lines].join('\n'));
  }
}

const percent = (weight) => `${Math.round(weight * 100)}`.padStart(3);

/** Judged advice as text: one block an advice, the most pressing first. */
export const textOf = ({ title, hive, date, phase, advice }) =>
  [
    `${title ?? `Hive ${hive}`}, ${date}${phase === null ? '' : `, ${phase.replaceAll('-', ' ')}`}`,
    ...advice.map((each, at) =>
      [
        `${at + 1}. ${each.title} (${each.from} to ${each.by}, ${percent(each.pressing).trim()} of 100 pressing, ${each.confidence})`,
        ...each.reasons.map(
          ({ text, weight, sense }) => `   ${sense === 'for' ? '+' : '-'} ${percent(weight)} ${text}`,
        ),
        `   Rule: ${each.whereFrom.rule} (${each.whereFrom.source})`,
        `   Other practice: ${each.otherSchool}`,
        ...each.cautions.map((text) => `   Caution: ${text}`),
        ...each.turns.map((text) => `   What would turn it: ${text}`),
        ...(each.ifItFails === null ? [] : [`   If it fails: ${each.ifItFails}`]),
        ...each.followUps.map(({ question, from, due }) => `   Then, ${from} to ${due}: ${question}`),
      ].join('\n'),
    ),
  ].join('\n\n');
