import { POUND } from '../../measure/amounts.js';
import type { Message } from '../../messages/message.js';
import type { Kilograms } from '../../measure/length.js';
import { TABLE } from '../messages.js';
import type { MaterialId } from './materials.js';

/** Whose bags are bought. */
export const PACK_COUNTRIES = ['us', 'uk', 'canada', 'south-africa', 'australia'] as const;
export type PackCountry = (typeof PACK_COUNTRIES)[number];

/** A pack as it is filed and as it is asked for at the yard, and what it weighs. */
export interface Pack {
  name: string;
  says: Message;
  kg: Kilograms;
}

const kg = (n: number): Pack => ({ name: `${n} kg bag`, says: TABLE['bag-of-kg']({ kg: n }), kg: n });
const lb = (n: number): Pack => ({
  name: `${n} lb bag`,
  says: TABLE['bag-of-lb']({ lb: n }),
  kg: n * POUND,
});

/** Cement by country: 94 lb, 25, 40, 50 and 20 kg (printed on the bag; from memory). The rest is bagged alike. */
const CEMENT: Readonly<Record<PackCountry, Pack>> = {
  us: lb(94),
  uk: kg(25),
  canada: kg(40),
  'south-africa': kg(50),
  australia: kg(20),
};
const LIME: Readonly<Record<PackCountry, Pack>> = {
  us: lb(50),
  uk: kg(25),
  canada: lb(50),
  'south-africa': kg(25),
  australia: kg(20),
};

/** The pack a binder comes in; null for what comes loose. Masonry cement's bag is a cubic foot, its weight the mix's own. */
export function packOf(of: MaterialId, country: PackCountry, poundsOfMasonryCement: number): Pack | null {
  switch (of) {
    case 'portland':
      return CEMENT[country];
    case 'lime-hydrated':
    case 'quicklime':
      return LIME[country];
    case 'nhl':
      return country === 'us' ? lb(55) : kg(25);
    case 'lime-putty':
      return country === 'us'
        ? { name: '5 gal pail', says: TABLE['pail-of-5-gal'](), kg: 5 * 3.785411784 * 1.28 }
        : { name: '20 L tub', says: TABLE['tub-of-20-l'](), kg: 28 };
    case 'masonry-cement':
      return country === 'us' || country === 'canada' ? lb(poundsOfMasonryCement) : kg(25);
    case 'preblended':
      return country === 'us' || country === 'canada' ? lb(80) : kg(25);
    default:
      return null;
  }
}
