import type { Input, endpoints } from '@brave-comb/contract';

/** What is sent to an endpoint, as its contract reads it. */
export type Body<E extends keyof typeof endpoints> = Input<(typeof endpoints)[E]>['body'];
