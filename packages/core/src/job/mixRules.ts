import type { Fault } from '../statement/fault.js';
import { sayValue } from '../statement/fault.js';
import { mixNamed } from '../tables/mixes/mixes.js';
import { behindFace } from './units.js';
import type { JobDocument } from './types.js';

/** Mixes that are asked for and not there, and own ones that are none. */
export function mixFaults(job: JobDocument): Fault[] {
  const own = job.mixes ?? [];
  const known = new Set(own.map((m) => m.id));
  const faults: Fault[] = [];
  const wants = (mix: string | undefined, path: string): void => {
    if (mix !== undefined && !known.has(mix) && !mixNamed(mix))
      faults.push({ path, wanted: 'a mix of the library or of this job', got: sayValue(mix) });
  };
  own.forEach((m, i) => {
    const at = `/mixes/${i}`;
    if (mixNamed(m.id))
      faults.push({ path: `${at}/id`, wanted: 'an id the library does not use', got: sayValue(m.id) });
    if (m.like !== undefined && !mixNamed(m.like))
      faults.push({ path: `${at}/like`, wanted: 'a mix of the library', got: sayValue(m.like) });
    const first = own.findIndex((o) => o.id === m.id);
    if (first < i)
      faults.push({
        path: `${at}/id`,
        wanted: 'a mix id used once',
        got: `${sayValue(m.id)} again (first at /mixes/${first})`,
      });
    m.parts.forEach((p, k) => {
      if (m.parts.findIndex((q) => q.of === p.of) < k)
        faults.push({ path: `${at}/parts/${k}/of`, wanted: 'each material once', got: sayValue(p.of) });
    });
    if (m.yield.model === 'sand' && !m.parts.some((p) => p.of === 'sand'))
      faults.push({ path: `${at}/parts`, wanted: 'sand, where the yield goes by it', got: 'none' });
  });
  wants(job.mud?.mix, '/mud/mix');
  wants(job.mud?.grout, '/mud/grout');
  wants(job.mud?.concrete, '/mud/concrete');
  job.mud?.places?.forEach((p, i) => wants(p.mix, `/mud/places/${i}/mix`));
  job.walls.forEach((w, i) => {
    wants(w.build.mix, `/walls/${i}/build/mix`);
    const inner = w.build.kind === 'units' ? 'cavity' : 'backing';
    wants(behindFace(w.build)?.mix, `/walls/${i}/build/${inner}/mix`);
    wants(w.repoint?.mix, `/walls/${i}/repoint/mix`);
    wants(w.repoint?.behind, `/walls/${i}/repoint/behind`);
  });
  return faults;
}
