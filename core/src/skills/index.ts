export * from './change';
export * from './default';
export * from './demonstration';
export * from './forgetting';
export * from './gates';
export * from './skill';
export * from './standing';
export * from './words';
