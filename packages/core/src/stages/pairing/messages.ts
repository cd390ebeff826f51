import { messages } from '../../messages/message.js';

export const PAIRING_ROOM = {
  'cement-on-earth': { mix: 'said' },
  'cement-on-lime': { mix: 'said' },
  'cement-on-damp': { mix: 'said' },
  'cement-on-stone': { mix: 'said' },
  'not-for-beds': { mix: 'said' },
  'stove-only': { mix: 'said' },
  'not-where-fire-is': { mix: 'said' },
  'too-weak-shaken': { mix: 'said', category: 'name' },
  'masonry-cement-shaken': { mix: 'said', category: 'name' },
  'too-weak-in-soil': { mix: 'said' },
  'putty-in-the-wet': { mix: 'said' },
  'weak-in-frost': { mix: 'said' },
  sulfate: { mix: 'said' },
  'only-as-drawn': { mix: 'said' },
  'earth-washes': { mix: 'said' },
  'lay-in': { mix: 'said' },
  'lay-inner-in': { mix: 'said' },
} as const;

export const PAIRING = messages('pairing', PAIRING_ROOM);
