// Reads a JSON file that somebody named on the command line, and tells every fault of it.
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { tsImport } from 'tsx/esm/api';
import { Trouble } from './say.mjs';

const { english } = await tsImport('../../core/src/words/index.ts', import.meta.url);

/**
 * @param file path, from where the person stood
 * @param shape Zod schema
 * @param what what the file should be, in words
 * @returns its content
 * @throws Trouble with a line for each fault
 */
export function readJson(file, shape, what) {
  let text;
  try {
    // npm runs scripts in the project's folder; the file was named where the person stood.
    text = readFileSync(resolve(process.env.INIT_CWD ?? process.cwd(), file), 'utf8');
  } catch (error) {
    throw new Trouble(`${file} cannot be read (${error.code}): name the JSON file of a ${what}.`);
  }
  let json;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new Trouble(`${file} is not JSON: ${error.message}`);
  }
  const { success, data, error } = shape.safeParse(json);
  if (success) return data;
  const lines = error.issues
    .slice(0, 10)
    .map(({ path, message }) => `  ${path.join('.') || '(file)'}: ${english.names.wrong[message] ?? message}`);
  const more = error.issues.length > 10 ? [`  and ${error.issues.length - 10} more`] : [];
  throw new Trouble([`${file} is no ${what}; mend this:`, ...lines, ...more].join('\n'));
}
