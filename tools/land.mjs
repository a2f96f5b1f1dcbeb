// Makes core/src/season/land.ts: which cells of the globe are land, from the outlines of the world-atlas package (Natural Earth, public domain).
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { geoContains } from 'd3-geo';
import { feature } from 'topojson-client';
import { run } from './lib/say.mjs';

const STEP = 2.5;

await run(async () => {
  const outlines = JSON.parse(
    readFileSync(createRequire(import.meta.url).resolve('world-atlas/land-110m.json'), 'utf8'),
  );
  const land = feature(outlines, outlines.objects.land);
  const rows = [];
  for (let north = 90 - STEP / 2; north > -90; north -= STEP) {
    let bits = '';
    for (let east = -180 + STEP / 2; east < 180; east += STEP) bits += geoContains(land, [east, north]) ? '1' : '0';
    rows.push(BigInt(`0b${bits}`).toString(36));
  }
  writeFileSync(
    'core/src/season/land.ts',
    `// Made by tools/land.mjs from the outlines of land at 1:110 000 000 (Natural Earth, public domain): do not edit.

/** Side of a cell, degrees. */
export const LAND_STEP = ${STEP};
/** Rows of cells from the North Pole southward; each from 180° W eastward, one bit a cell, land 1, in base 36. */
export const LAND_ROWS: readonly string[] = [
${rows.map((row) => `  '${row}',`).join('\n')}
];
`,
  );
});
