export * from './epw';
export * from './weather-csv';
