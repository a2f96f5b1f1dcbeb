import { say } from '../../words';
import type { ColonyClass, Strain } from '@brave-comb/core/care';
import { type HiveTypeId, type Stack, boxFits, isBox } from '@brave-comb/core/equipment';
import type { HivePlace } from '@brave-comb/core/site';
import { v7 as uuid } from 'uuid';
import type { Context } from '../../context';
import type { Db } from '../../database/db';
import { Refusal } from '../../problem';
import { type SiteRow, insertColony, insertHive, insertSite } from './store';

export async function addSite(
  { db }: Context,
  site: Omit<SiteRow, 'id' | 'turn' | 'degree_days' | 'plan'> & Partial<Pick<SiteRow, 'plan'>>,
): Promise<string> {
  const id = uuid();
  await insertSite(db, { turn: null, degree_days: 'single-sine', plan: null, ...site, id });
  return id;
}

export interface NewHive {
  readonly school: string;
  readonly site: string;
  readonly number: string;
  readonly stand: string;
  readonly type: HiveTypeId;
  readonly stack: Stack;
  readonly scale?: string;
  readonly place?: HivePlace | null;
  readonly colony: {
    readonly since: string;
    readonly origin: string;
    readonly queen: { readonly year: number; readonly marked: boolean } | null;
    readonly strain?: Strain;
    readonly class?: ColonyClass;
  };
}

/**
 * Refuses boxes of another family: they do not fit.
 *
 * @throws Refusal 422 with the box and the hive
 */
export function checkBoxes({ number, type, stack }: Pick<NewHive, 'number' | 'type' | 'stack'>): void {
  const stranger = stack.filter(isBox).find((layer) => !boxFits(type, layer.box));
  if (stranger) throw new Refusal(422, 'not-valid', say('box-does-not-fit', { stranger: stranger.id, number }));
}

/** Begins a colony's life in a hive. Until somebody says otherwise it is for teaching, and rests in winter as most do. */
export const hiveColony = (db: Db, school: string, hive: string, { colony, id = uuid() }: Hived): Promise<unknown> =>
  insertColony(db, {
    id,
    school,
    hive,
    since: colony.since,
    until: null,
    origin: colony.origin,
    queen_year: colony.queen?.year ?? null,
    queen_marked: colony.queen?.marked ?? false,
    strain: colony.strain ?? 'cuts-down',
    class: colony.class ?? 'teaching',
  });
interface Hived {
  readonly colony: NewHive['colony'];
  readonly id?: string;
}

/** Sets up a hive with its colony. */
export async function addHive({ db }: Context, hive: NewHive): Promise<string> {
  checkBoxes(hive);
  const id = uuid();
  const { colony, scale = null, place = null, ...woodwork } = hive;
  await insertHive(db, { id, scale, place, ...woodwork });
  await hiveColony(db, hive.school, id, { colony });
  return id;
}
