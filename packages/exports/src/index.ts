export * from './ask.js';
export * from './csv.js';
export * from './kinds.js';
