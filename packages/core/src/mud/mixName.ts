import type { Said } from '../messages/message.js';
import type { Basis } from '../tables/mixes/materials.js';
import type { Mix } from '../tables/mixes/mixes.js';
import { MUD } from '../stages/mud/messages.js';

/** What a mix is called, as the trade there says it: "Type M" in the United States, "M12 (i)" elsewhere, never a bare M. */
export function mixName({ id, name }: Pick<Mix, 'id' | 'name'>, basis: Basis): Said {
  if (name !== undefined) return name;
  const [, sand] = /^cement-sand-(\d)$/.exec(id) ?? [];
  if (sand) return MUD['cement-sand']({ parts: Number(sand) });
  const [, hydrated] = /^hydrated-lime-(\d)$/.exec(id) ?? [];
  if (hydrated) return MUD['hydrated-lime']({ parts: Number(hydrated) });
  const [, grade] = /^nhl-([\d.]+)$/.exec(id) ?? [];
  if (grade) return MUD['nhl-mortar']({ grade });
  switch (id) {
    case 'cement-lime-m':
    case 'cement-lime-s':
    case 'cement-lime-n':
    case 'cement-lime-o':
      return MUD[id]({ basis });
    case 'masonry-cement-s':
    case 'masonry-cement-n':
    case 'bagged-s-2':
    case 'preblended-s':
    case 'preblended-n':
    case 'putty-3':
    case 'hot-lime-3':
    case 'limecrete-3':
    case 'earth':
    case 'rapid':
    case 'grout-fine':
    case 'grout-coarse':
    case 'ballast-5':
    case 'concrete-1-2-3':
      return MUD[id]();
    default:
      return id;
  }
}
