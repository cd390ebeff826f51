export * from './tongues.js';
export * from './words.js';
