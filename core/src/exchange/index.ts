export * from './checklist-csv';
export * from './epw';
export * from './former-ids';
export * from './passport';
export * from './school-archive';
export * from './weather-csv';
