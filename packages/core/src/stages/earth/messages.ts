import { messages } from '../../messages/message.js';

export const EARTH_ROOM = {
  'bears-not-said': {},
  'bears-roof': {},
  'bears-none': {},
  'stands-free': {},
  thin: { thick: 'length', least: 'length' },
  'too-high': { high: 'length', thick: 'length', most: 'length', times: 'number' },
  'too-long': { long: 'length', most: 'length' },
  together: { comes: 'number', most: 'number' },
  'near-corner': { name: 'name', at: 'length', least: 'length' },
  'move-in': { name: 'name' },
  'plate-source': {},
  'base-source': {},
  'no-plate': {},
  'put-plate': { kind: ['timber', 'concrete'], height: 'length' },
  'plate-low': { height: 'length', least: 'length' },
  'base-low': { over: 'length', least: 'length' },
  plate: {},
  'plate-formula': {},
  'plate-runs': {},
  'much-open': { open: 'length', long: 'length' },
} as const;

export const EARTH = messages('earth', EARTH_ROOM);
