import type { Knex } from 'knex';
import * as first from './001-first-tables';
import * as ahead from './002-ahead';
import * as planner from './003-planner';
import * as reasons from './004-plan-reasons';
import * as hive from './005-at-the-hive';
import * as leaves from './006-what-a-visit-leaves';
import * as skills from './007-skills';
import * as practice from './008-practice';
import * as debriefs from './009-debriefs';
import * as starts from './010-checklist-starts';
import * as standing from './011-standing-index';
import * as signatures from './012-signatures';
import * as indoors from './013-indoor-plans';
import * as doors from './014-doors';
import * as entryKind from './015-entry-kind';
import * as revisions from './016-refresh-and-revisions';
import * as ids from './017-ids';
import * as texts from './018-texts';
import * as told from './019-told-texts';
import * as units from './020-units';
import * as decidedDay from './021-decided-day';
import * as trials from './022-trials';
import * as firstOwner from './023-first-owner';
import * as schoolRecords from './024-school-records';
import * as sitePlans from './025-site-plans';
import * as mails from './026-mails';

const all: readonly (Knex.Migration & { name: string })[] = [
  { name: '001-first-tables', ...first },
  { name: '002-ahead', ...ahead },
  { name: '003-planner', ...planner },
  { name: '004-plan-reasons', ...reasons },
  { name: '005-at-the-hive', ...hive },
  { name: '006-what-a-visit-leaves', ...leaves },
  { name: '007-skills', ...skills },
  { name: '008-practice', ...practice },
  { name: '009-debriefs', ...debriefs },
  { name: '010-checklist-starts', ...starts },
  { name: '011-standing-index', ...standing },
  { name: '012-signatures', ...signatures },
  { name: '013-indoor-plans', ...indoors },
  { name: '014-doors', ...doors },
  { name: '015-entry-kind', ...entryKind },
  { name: '016-refresh-and-revisions', ...revisions },
  { name: '017-ids', ...ids },
  { name: '018-texts', ...texts },
  { name: '019-told-texts', ...told },
  { name: '020-units', ...units },
  { name: '021-decided-day', ...decidedDay },
  { name: '022-trials', ...trials },
  { name: '023-first-owner', ...firstOwner },
  { name: '024-school-records', ...schoolRecords },
  { name: '025-site-plans', ...sitePlans },
  { name: '026-mails', ...mails },
];

/** Migrations in the bundle itself, so that nothing depends on where its files lie. */
export const migrations: Knex.MigrationSource<Knex.Migration & { name: string }> = {
  getMigrations: () => Promise.resolve([...all]),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) => Promise.resolve(migration),
};
