export * from './screens/index.js';
export * from './tongues.js';
export * from './words.js';
