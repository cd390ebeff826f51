import type { Catalogue } from '@even-tally/core';

export const weather: Catalogue['weather'] = {
  'cold-40':
    'Under 40 °F: warm the sand or the water, so that mud comes out between 40 and 120 °F. No water over 140 °F, no ice on the units.',
  'cold-32': 'Under freezing: mud from 40 to 120 °F, and kept from freezing on the boards until it is used.',
  'cold-25': 'Under 25 °F: warm the wall itself to 40 °F, and put up wind breaks where it blows over 15 mph.',
  'cold-20':
    'At 20 °F and under nothing is laid in the open: only inside an enclosure kept over 32 °F, and no unit colder than 20 °F.',
  'cold-cover': 'Cover what was laid from the weather for 24 hours.',
  'cold-cover-wrap': 'Wrap what was laid in blankets for 24 hours.',
  'cold-cover-heat': 'Keep what was laid over 32 °F for 24 hours, inside and heated.',
  'hot-begin':
    'Hot: sand kept damp, mud under 120 °F and used within 2 hours of its water, boards and mixer wetted first.',
  'hot-more': 'Very hot: shade the heap, the bags and the units, and mix with cool water.',
  'hot-cure': 'Fog the wall until it is damp, three times a day for three days.',
  'stop-3': 'At 3 °C and falling stop laying. Begin again at 3 °C and rising, and never on frozen work.',
  'frost-after': 'Frost tonight: cover the new work with something dry that keeps warmth in.',
  'lime-5': 'Under 5 °C no lime is laid: it does not set, and frost takes it.',
  'lime-frost': 'Frost tonight: lime stays soft for weeks, so wrap it in hessian and keep the wet off.',
  'earth-frost': 'Frost breaks up wet earth: do not lay.',
  'hot-lime':
    'Warm or drying wind: shade the wall, damp the units, mist the joints and keep hessian over them.',
  'hot-metric': 'Warm or drying wind: shade the mud, damp clay brick that sucks, and lay shorter beds.',
  'rain-cover':
    'Rain: cover units and sand, and the top of the wall at every stop. Rain washes out fresh joints.',
  'rain-earth': 'Rain: cover adobes and the top of the wall. Wet earth carries nothing.',
  'wind-brace': 'Wind over 20 mph: a wall of a day stands only where it is braced. Nobody on its far side.',
  'waits-double': 'Near 5 °C everything sets half as fast: twice the waits.',
};
