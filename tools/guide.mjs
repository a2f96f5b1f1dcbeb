// Part of npm run build: docs/guide as pages beside the application, with the pictures that they show. Help leads to their headings.
import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { Marked } from 'marked';
import { gfmHeadingId } from 'marked-gfm-heading-id';
import { ROOT } from './lib/paths.mjs';

const FROM = join(ROOT, 'docs', 'guide');
const TO = join(ROOT, 'web', 'dist', 'guide');

const pageOf = (title, body) => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width" />
    <title>${title} – Brave Comb</title>
    <link rel="stylesheet" href="guide.css" />
  </head>
  <body>
    <nav aria-label="Guide">
      <a href="../">Brave Comb</a> <a href="index.html">Guide</a> <a href="owner.html">Owner</a> <a href="lead.html">Lead instructor</a>
      <a href="supervisor.html">Supervisor</a> <a href="trainee.html">Trainee</a>
    </nav>
    <main>
${body}
    </main>
  </body>
</html>
`;

const CSS = `body { max-width: 46rem; margin: 0 auto; padding: 0 16px 48px; color: #1b2a2a; background: #fff; font: 17px/1.55 sans-serif; }
nav { display: flex; flex-wrap: wrap; gap: 4px 18px; padding: 12px 0; border-bottom: 4px solid #17544c; }
a { color: #43245c; }
nav a { padding: 4px 0; }
img { display: block; max-width: 100%; margin: 8px 0 16px; border: 1px solid #d3dad6; }
:target { scroll-margin-top: 16px; background: #ede4f3; }
li { margin: 6px 0; }
`;

rmSync(TO, { recursive: true, force: true });
mkdirSync(TO, { recursive: true });
writeFileSync(join(TO, 'guide.css'), CSS);
for (const name of readdirSync(FROM).filter((each) => each.endsWith('.md'))) {
  const pictures = new Set();
  const marked = new Marked(gfmHeadingId(), {
    walkTokens: (token) => {
      if (token.type === 'image') {
        pictures.add(token.href);
        token.href = basename(token.href);
      }
      // Pages of the guide lead to each other; what else lies in the repository does not ship.
      if (token.type === 'link') token.href = token.href.startsWith('../') ? '' : token.href.replace(/\.md\b/, '.html');
    },
    renderer: {
      link({ href, tokens }) {
        return href === '' ? this.parser.parseInline(tokens) : false;
      },
    },
  });
  const text = readFileSync(join(FROM, name), 'utf8');
  const title = /^# (.+)$/m.exec(text)?.[1] ?? 'Guide';
  const page = name === 'README.md' ? 'index.html' : name.replace(/\.md$/, '.html');
  writeFileSync(join(TO, page), pageOf(title, marked.parse(text)));
  for (const picture of pictures) {
    // A picture that is new is made by npm run screenshots, which needs a build.
    if (existsSync(join(FROM, picture))) copyFileSync(join(FROM, picture), join(TO, basename(picture)));
    else console.warn(`docs/guide/${name}: there is no ${picture} yet`);
  }
}
