import {
  setDeep,
  type Job,
  type Message,
  type MudView,
  type Show,
  type SoilJudged,
  type SoilTest,
  type Stated,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { toMillimetres, stated } from '@even-tally/core';

const percent = (part: number): number => Math.round(part * 100);

/** Bricks of earth made on the site: moulds, days, room, and the soil for them; and what the soil is like. */
export function EarthPart(props: { job: Job; show: Show; earth: NonNullable<MudView['earth']> }): ReactNode {
  return (
    <>
      <Making {...props} />
      <Tests {...props} />
    </>
  );
}

function Making({ job, earth: { made } }: { job: Job; earth: NonNullable<MudView['earth']> }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const put = (key: string, value: number): boolean => edit([setDeep(job, `/earth/making/${key}`, value)]);
  const stated = job.earth?.making ?? {};
  return (
    <Fold title={tell(AT_MUD.makingBricks)} open={job.earth?.making !== undefined}>
      <div className="grid grid-cols-3 items-end gap-x-3">
        <NumberField
          label={tell(AT_MUD.moulds)}
          value={stated.moulds ?? 1}
          most={1000}
          onChange={(n) => put('moulds', n)}
        />
        <NumberField
          label={tell(AT_MUD.perMould)}
          value={stated.perMould ?? 1}
          most={20}
          onChange={(n) => put('perMould', n)}
        />
        <NumberField
          label={tell(AT_MUD.madePerDay)}
          value={made.perDay}
          most={100_000}
          onChange={(n) => put('perDay', n)}
        />
        <NumberField
          label={tell(AT_MUD.flatDays)}
          value={made.flat}
          least={0}
          most={60}
          onChange={(n) => put('flat', n)}
        />
        <NumberField
          label={tell(AT_MUD.edgeDays)}
          value={made.edge}
          least={0}
          most={365}
          onChange={(n) => put('edge', n)}
        />
        <NumberField
          label={tell(AT_MUD.lost)}
          value={percent(stated.loss ?? made.made / Math.max(1, made.laid) - 1)}
          least={0}
          most={90}
          onChange={(n) => put('loss', n / 100)}
        />
        <NumberField
          label={tell(AT_MUD.cementShare)}
          value={percent(stated.stabilised ?? 0)}
          least={0}
          most={20}
          onChange={(n) => put('stabilised', n / 100)}
        />
      </div>
      <div className="space-y-1 text-small" data-bricks={made.made}>
        <p>{tell(AT_MUD.bricksMade(made))}</p>
        <p>{tell(AT_MUD.bricksDays(made))}</p>
        {made.stabilised && <p>{tell(AT_MUD.bricksCement(made.stabilised))}</p>}
        <p className="text-soft">{tell(AT_MUD.sameSoil)}</p>
      </div>
    </Fold>
  );
}

const KINDS: readonly (readonly [SoilTest['kind'], Message])[] = [
  ['jar', AT_MUD.jar],
  ['roll', AT_MUD.roll],
  ['drop', AT_MUD.drop],
  ['shrink', AT_MUD.shrink],
];
const CAME = [
  ['whole', AT_MUD.whole],
  ['chipped', AT_MUD.chipped],
  ['broken', AT_MUD.broken],
] as const;
const SIZES: Record<SoilTest['kind'], readonly (readonly [string, Message])[]> = {
  jar: [
    ['sand', AT_MUD.sandHigh],
    ['silt', AT_MUD.siltHigh],
    ['clay', AT_MUD.clayHigh],
  ],
  roll: [['breaks', AT_MUD.breaksAt]],
  drop: [],
  shrink: [
    ['box', AT_MUD.boxLong],
    ['gap', AT_MUD.gapAtEnds],
  ],
};

/** A test to begin with, as it is done. */
function first(kind: SoilTest['kind'], id: string, show: Show): SoilTest {
  const of = (mm: number, inches: string): Stated => (show === 'mm' ? mm : inches);
  switch (kind) {
    case 'jar':
      return { kind, id, sand: of(60, '2 1/2"'), silt: of(20, '3/4"'), clay: of(20, '3/4"') };
    case 'roll':
      return { kind, id, breaks: of(100, '4"') };
    case 'drop':
      return { kind, id, comes: 'whole' };
    default:
      return { kind, id, box: of(600, '24"'), gap: of(12, '1/2"') };
  }
}

function Tests({
  job,
  show,
  earth,
}: {
  job: Job;
  show: Show;
  earth: NonNullable<MudView['earth']>;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const list = job.earth?.tests;
  const items = earth.tests.map((judged, index) => ({ ...judged, index }));
  const put = (index: number, key: string, value: unknown): boolean =>
    edit([{ op: 'replace', path: `/earth/tests/${index}/${key}`, value }]);
  const add = (): void => {
    const { id } = newId('S', list);
    const value = first('jar', id, show);
    edit([list ? { op: 'add', path: '/earth/tests/-', value } : setDeep(job, '/earth/tests', [value])]);
  };
  return (
    <Listed
      title={tell(AT_MUD.soilTests)}
      one={AT_MUD.soilTest}
      add={AT_MUD.addTest}
      none={tell(AT_MUD.noTests)}
      items={items}
      keyOf={(t) => t.test.id}
      onAdd={add}
      onRemove={(t) => edit([{ op: 'remove', path: `/earth/tests/${t.index}` }])}
    >
      {(t) => (
        <>
          <Pick
            label={tell(AT_MUD.testIs)}
            value={t.test.kind}
            options={KINDS}
            onChange={(kind) =>
              edit([{ op: 'replace', path: `/earth/tests/${t.index}`, value: first(kind, t.test.id, show) }])
            }
          />
          <div className="grid grid-cols-3 items-end gap-x-3">
            {SIZES[t.test.kind].map(([key, label]) => (
              <LengthField
                key={key}
                name={`soil-${key}`}
                label={tell(label)}
                value={toMillimetres(stated((t.test as unknown as Record<string, Stated>)[key] ?? 0))}
                show={show}
                module={0}
                pitch={0}
                onChange={(v) => put(t.index, key, v)}
              />
            ))}
          </div>
          {t.test.kind === 'drop' && (
            <Pick
              label={tell(AT_MUD.itComes)}
              value={t.test.comes}
              options={CAME}
              onChange={(v) => put(t.index, 'comes', v)}
            />
          )}
          <p
            className={`text-small font-semibold ${t.verdict === 'good' ? 'text-settled' : 'text-caution'}`}
            data-verdict={t.verdict}
          >
            {tell(verdictOf(t))}
          </p>
        </>
      )}
    </Listed>
  );
}

const verdictOf = ({ verdict, parts, share, test }: SoilJudged): Message =>
  AT_MUD.soilVerdict({
    verdict,
    parts: parts ? 'yes' : 'no',
    clay: percent(parts?.clay ?? 0),
    silt: percent(parts?.silt ?? 0),
    sand: percent(parts?.sand ?? 0),
    shrunk: test.kind === 'shrink' ? 'yes' : 'no',
    share: Math.round((share ?? 0) * 1000) / 10,
  });
