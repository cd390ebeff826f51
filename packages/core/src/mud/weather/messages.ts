import { messages } from '../../messages/message.js';

export const WEATHER_ROOM = {
  'cold-40': {},
  'cold-32': {},
  'cold-25': {},
  'cold-20': {},
  'cold-cover': {},
  'cold-cover-wrap': {},
  'cold-cover-heat': {},
  'hot-begin': {},
  'hot-more': {},
  'hot-cure': {},
  'stop-3': {},
  'frost-after': {},
  'lime-5': {},
  'lime-frost': {},
  'earth-frost': {},
  'hot-lime': {},
  'hot-metric': {},
  'rain-cover': {},
  'rain-earth': {},
  'wind-brace': {},
  'waits-double': {},
} as const;

export const WEATHER = messages('weather', WEATHER_ROOM);
