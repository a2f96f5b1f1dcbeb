import { statfs } from 'node:fs/promises';
import type { RequestHandler } from 'express';
import { LEAST_ROOM } from './config';
import { diskFull } from './faults';

const LOOK_EVERY = 2_000;

/**
 * Refuses writes while the data disk is nearly full, before the database itself runs into the wall.
 *
 * @param folder folder on the disk, empty to let everything pass
 */
export function roomOnDisk(folder: string): RequestHandler {
  let looked = 0;
  let room = Infinity;
  return async (request, _response, next) => {
    if (folder && request.method !== 'GET') {
      if (Date.now() - looked > LOOK_EVERY) {
        looked = Date.now();
        const { bavail, bsize } = await statfs(folder);
        room = bavail * bsize;
      }
      if (room < LEAST_ROOM) throw diskFull();
    }
    next();
  };
}
