import * as z from 'zod';
import { SituationFile } from './situation';
import { Checklist, PassportFile } from './skills';

/** JSON Schema (draft 2020-12) of the files that schools give each other, by the name under which it is kept in `docs/formats`. */
export const fileSchemas = () => ({
  'passport.schema.json': z.toJSONSchema(PassportFile, { io: 'input' }),
  'situation.schema.json': z.toJSONSchema(SituationFile, { io: 'input' }),
  'checklist.schema.json': z.toJSONSchema(Checklist.pick({ skills: true }), { io: 'input' }),
});
