// Colours have names: only the palettes, and what is painted on a canvas, write them as numbers.
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../lib/paths.mjs';

const APP = join(ROOT, 'web/src/app');
const PAINTED = /practice[/\\](comb-stage|\w+-sprites)\.ts$/;
const COLOUR = /#(?:[0-9a-f]{6}|[0-9a-f]{3})\b/gi;

const found = readdirSync(APP, { recursive: true })
  .filter((file) => /\.(ts|html|scss)$/.test(file) && !/\.spec\.ts$/.test(file) && !PAINTED.test(file))
  .flatMap((file) =>
    readFileSync(join(APP, file), 'utf8')
      .split('\n')
      .flatMap((line, index) => (line.match(COLOUR) ?? []).map((colour) => `${file}:${index + 1} ${colour}`)),
  );
if (found.length > 0) {
  console.error(`Give these colours a name in web/src/styles:\n${found.join('\n')}`);
  process.exitCode = 1;
}
