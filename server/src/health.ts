import { Router } from 'express';
import { answers } from './database/connection';
import type { Db } from './database/db';

const PATIENCE = 2_000;

/**
 * Two questions of whoever watches the server. `/live`: does the process answer? `/ready`: can it do its work, database included? A server
 * that is live and not ready is left alone and asked again, one that is not live is started again.
 */
export function health(db: Db): Router {
  const router = Router();
  router.get('/live', (_request, response) => void response.set('Cache-Control', 'no-store').json({ live: true }));
  router.get('/ready', async (_request, response) => {
    response.set('Cache-Control', 'no-store');
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_done, fail) => {
      timer = setTimeout(() => fail(new Error('late')), PATIENCE);
    });
    try {
      await Promise.race([answers(db), late]);
      response.json({ ready: true });
    } catch {
      response.status(503).set('Retry-After', '2').json({
        problem: 'database-away',
        message: 'The database does not answer. Look at its log, then start the application again.',
      });
    } finally {
      clearTimeout(timer);
    }
  });
  return router;
}
