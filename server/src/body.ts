import type { Input, endpoints } from '@brave-comb/contract';

/** What is sent to an endpoint, as its contract reads it. */
export type Body<E extends keyof typeof endpoints> = Input<(typeof endpoints)[E]>['body'];

/** What an endpoint is asked with in its address. */
export type Query<E extends keyof typeof endpoints> = Input<(typeof endpoints)[E]>['query'];
