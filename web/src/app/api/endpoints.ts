import type { endpoints as table } from '@brave-comb/contract';
import { ADDRESSES } from '@brave-comb/contract/addresses';

type Table = typeof table;
const all: Readonly<Record<keyof Table, readonly [method: string, path: string]>> = ADDRESSES;

/** The contract's endpoints as a page needs them: where to call, and what types go and come. Schemas stay on the server. */
export const endpoints = Object.fromEntries(
  Object.entries(all).map(([name, [method, path]]) => [name, { method, path }]),
) as unknown as Table;
