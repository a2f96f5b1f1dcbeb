export * from './boxes';
export * from './frames';
export * from './hive-types';
export * from './new-stack';
export * from './stack';
export * from './stack-change';
export * from './weights';
