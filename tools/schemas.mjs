// npm run schemas: writes the JSON Schemas of exported files to docs/formats.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { register } from 'tsx/esm/api';
import { ROOT } from './lib/paths.mjs';

register();
const { fileSchemas } = await import('../contract/src/file-schemas.ts');
for (const [name, schema] of Object.entries(fileSchemas()))
  writeFileSync(join(ROOT, 'docs/formats', name), `${JSON.stringify(schema, null, 2)}\n`);
