import express, { Router } from 'express';
import helmet from 'helmet';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';

const PAGE = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Brave Comb, API</title>
<link rel="stylesheet" href="/api/docs/swagger-ui.css"></head>
<body><div id="api"></div>
<script src="/api/docs/swagger-ui-bundle.js"></script>
<script src="/api/docs/open.js"></script></body></html>`;
const OPEN = `SwaggerUIBundle({ url: '/api/openapi.json', dom_id: '#api', validatorUrl: null });`;

/** The OpenAPI document to browse, from files that ship with the application. */
export function apiDocs(): Router {
  const folder = dirname(createRequire(import.meta.url).resolve('swagger-ui-dist/package.json'));
  const router = Router();
  router.use(
    helmet.contentSecurityPolicy({
      directives: {
        'script-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'upgrade-insecure-requests': null,
      },
    }),
  );
  router.get('/', (_request, response) => void response.type('html').send(PAGE));
  router.get('/open.js', (_request, response) => void response.type('js').send(OPEN));
  router.use(express.static(folder, { index: false }));
  return router;
}
