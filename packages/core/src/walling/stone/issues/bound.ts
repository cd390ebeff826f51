import { issue, type Issue } from '../../../findings/issue.js';
import { BONDERS, STONE_RULES } from '../../../tables/stoneWalls.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { BOND, set, written, type At } from './at.js';

/** What holds the faces together was not said: it is taken as is usual, and can be written down. */
export function boundAsUsual(at: At): Issue[] {
  const { stone, wall } = at;
  if (!stone.boundAsUsual) return [];
  const rows = stone.throughs.map((t) => ({ at: written(at, t.at), every: written(at, t.every) }));
  if (stone.kind === 'dry' && rows.length === 0) return [];
  const bonders = { along: written(at, BONDERS.along), up: written(at, BONDERS.up) };
  return [
    issue({
      ...BOND,
      code: 'stone-bound-as-usual',
      severity: 'note',
      key: 'stone-bound-as-usual',
      says:
        stone.kind === 'dry'
          ? SAYS['throughs-as-usual']({ rows: rows.length, every: stone.throughs[0]?.every ?? 0 })
          : SAYS['bound-as-usual'](BONDERS),
      source: stone.kind === 'dry' ? SAYS.handbooks() : SAYS['en-bonders'](),
      tries: () => [
        {
          says: SAYS['write-it-down'](),
          edit:
            stone.kind === 'dry'
              ? set(at, 'throughs', rows)
              : [{ op: 'add', path: `/walls/${wall.index}/build/bonders`, value: bonders }],
        },
      ],
    }),
  ];
}

/** Bonders and throughs farther apart than faces are held by. */
export function apart(at: At): Issue[] {
  const { stone } = at;
  const most = STONE_RULES.apart;
  const { bonders } = stone;
  const found: Issue[] = [];
  if (bonders && (bonders.along > most + 0.5 || bonders.up > most + 0.5))
    found.push(
      issue({
        ...BOND,
        code: 'stone-bonders-apart',
        severity: 'choice',
        key: 'stone-bonders-apart',
        says: SAYS['bonders-apart']({ ...bonders, most }),
        source: SAYS['en-bonders'](),
        tries: () => [
          {
            says: SAYS['set-apart']({ most }),
            edit: set(at, 'bonders', {
              along: written(at, Math.min(bonders.along, most)),
              up: written(at, Math.min(bonders.up, most)),
            }),
          },
        ],
      }),
    );
  const far = stone.throughs.filter((t) => t.every > most + 0.5);
  const [first] = far;
  if (first)
    found.push(
      issue({
        ...BOND,
        code: 'stone-bonders-apart',
        severity: 'choice',
        key: 'stone-throughs-apart',
        says: SAYS['throughs-apart']({ ...first, most }),
        source: SAYS['is-throughs'](),
        tries: () => [
          {
            says: SAYS['set-apart']({ most }),
            edit: set(
              at,
              'throughs',
              stone.throughs.map((t) => ({
                at: written(at, t.at),
                every: written(at, Math.min(t.every, most)),
              })),
            ),
          },
        ],
      }),
    );
  return found;
}
