export * from './advice';
export * from './facts';
export * from './judge';
