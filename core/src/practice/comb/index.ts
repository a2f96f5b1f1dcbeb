export * from './bees';
export * from './cells';
export * from './looks';
export * from './nest';
export * from './recipes';
export * from './side';
export * from './troubles';
