export * from './fitness';
export * from './gauges';
export * from './hour';
export * from './outlook';
export * from './stretch';
export * from './sun';
export * from './verdict';
