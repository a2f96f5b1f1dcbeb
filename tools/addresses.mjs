// npm run addresses: writes contract/src/addresses.ts from the endpoint table, for pages that need no schemas.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { register } from 'tsx/esm/api';
import { ROOT } from './lib/paths.mjs';

register();
const { endpoints } = await import('../contract/src/index.ts');
const lines = Object.entries(endpoints).map(([name, { method, path }]) => `  ${name}: ['${method}', '${path}'],`);
writeFileSync(
  join(ROOT, 'contract/src/addresses.ts'),
  `/** Where each endpoint is, without its schemas. Written by \`npm run addresses\`; a test holds it against the table. */
export const ADDRESSES = {
${lines.join('\n')}
} as const;
`,
);
