import type { Output, endpoints } from '@brave-comb/contract';

export type Agreement = Output<(typeof endpoints)['agreement']>;
export type Readings = Agreement['people'][number]['readings'];
