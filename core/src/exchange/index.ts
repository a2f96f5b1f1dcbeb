export * from './checklist-csv';
export * from './epw';
export * from './passport';
export * from './weather-csv';
