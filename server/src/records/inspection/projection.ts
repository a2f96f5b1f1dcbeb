import type { VisitRecord } from '@brave-comb/core/inspection';
import type { Context } from '../../context';
import type { NamedVisit } from './store';

/**
 * Brings something that follows from a visit up to its entries, again each time when some are kept.
 *
 * @param context the database of the transaction in which the entries are kept, and the clock
 * @param visit whose entries
 * @param record what all of them tell together
 */
export type Projection = (context: Context, visit: NamedVisit, record: VisitRecord) => Promise<void>;
