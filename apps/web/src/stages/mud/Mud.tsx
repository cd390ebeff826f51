import { setDeep, STANDS_IN, type Message, type Said, type StandsIn } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { Figures } from '../../bench/Figures';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { AmountField } from '../../ui/AmountField';
import { Fold } from '../../ui/Fold';
import { NameField } from '../../ui/NameField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { useAsked } from '../../workers/useAsked';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { CrewPart } from './CrewPart';
import { EarthPart } from './EarthPart';
import { MeasurePart } from './MeasurePart';
import { OwnMixPart } from './OwnMixPart';
import { RepointPart } from './RepointPart';
import { useDayAsked } from './useDayAsked';
import { writtenVolume } from './writtenVolume';
import { PrintOne } from '../../bench/papers/PrintOne';
import { OnTheBoards } from './OnTheBoards';
import { WeatherPart } from './WeatherPart';

const MIXERS = [
  ['drum', AT_MUD.drum],
  ['barrow', AT_MUD.barrow],
  ['bucket', AT_MUD.bucket],
  ['pan', AT_MUD.pan],
] as const;
const STATES = [
  ['dry', AT_MUD.dry],
  ['damp', AT_MUD.damp],
  ['wet', AT_MUD.wet],
] as const;
const STANDS: Record<StandsIn, Message> = {
  soil: AT_MUD.standsSoil,
  'old-lime': AT_MUD.standsOldLime,
  damp: AT_MUD.standsDamp,
  frost: AT_MUD.standsFrost,
  sulfate: AT_MUD.standsSulfate,
  'stove-mass': AT_MUD.standsStove,
  flue: AT_MUD.standsFlue,
  fireface: AT_MUD.standsFire,
};
/** The wall has no mix of its own. */
const JOBS = '';

/** What the mud is, what it is mixed in and measured with, and what of it is to be had in. */
export function Mud({ job, view, show, planner }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set: setOfWall, clear } = useWallFields(job, view);
  const mud = useAsked(planner, 'mud', { wall: view.wall.index }, job);
  const asked = useDayAsked();
  const { date } = asked;
  const day = useAsked(planner, 'mudDay', { wall: view.wall.index, ...asked }, job);
  if (!mud) return null;
  const [own] = mud.batches;
  const { mixer, sand, colour, admixture, mixers } = mud.settings;
  const put = (path: string, value: unknown): boolean =>
    edit([
      value === undefined ? { op: 'remove', path: `/mud/${path}` } : setDeep(job, `/mud/${path}`, value),
    ]);
  // What a part leaves out is written with it: half a mixer is none.
  const stated = {
    mixer: { kind: mixer.kind, holds: writtenVolume(mixer.holds, show), fill: mixer.fill },
    sand: { state: sand.state, bulking: sand.bulking },
  };
  const inMixer = (more: Partial<typeof stated.mixer> & { count?: number }): boolean =>
    put('mixer', { ...stated.mixer, ...job.mud?.mixer, ...more });
  const inSand = (more: Partial<typeof stated.sand>): boolean =>
    put('sand', { ...stated.sand, ...job.mud?.sand, ...more });
  const mixes = mud.mixes.map(({ id, name, serves }): readonly [string, Said] => [
    id,
    serves === 'no' ? AT_MUD.notHere({ mix: name }) : name,
  ]);
  const stands = job.walls[view.wall.index]?.build.stands ?? [];
  const setStands = (what: StandsIn, on: boolean): boolean => {
    const next = on ? [...stands, what] : stands.filter((s) => s !== what);
    return next.length > 0 ? setOfWall('/build/stands', next) : clear('/build/stands');
  };
  const ofWall = job.walls[view.wall.index]?.build.mix;
  const ofJob = job.mud?.mix ?? (ofWall === undefined ? mud.batches[0]?.mix : undefined);
  return (
    <>
      {own && (
        <OnTheBoards
          alarm={
            <PrintOne
              kind="ics"
              says={AT_MUD.toTheCalendar}
              job={job}
              view={view}
              show={show}
              planner={planner}
            />
          }
          job={job}
          wall={view.wall.id}
          batch={own}
          mud={mud}
          wallIndex={view.wall.index}
          show={show}
        />
      )}
      <Section title={tell(AT_MUD.theMix)}>
        <Pick
          label={tell(AT_MUD.mixForTheJob)}
          value={ofJob ?? ''}
          options={ofJob === undefined ? [['', AT_MUD.asTheJobHas], ...mixes] : mixes}
          onChange={(id) => put('mix', id)}
        />
        <Pick
          label={tell(AT_MUD.mixForThisWall)}
          value={ofWall ?? JOBS}
          options={[[JOBS, AT_MUD.asTheJobHas], ...mixes]}
          onChange={(id) => (id === JOBS ? clear('/build/mix') : setOfWall('/build/mix', id))}
        />
      </Section>
      <Fold title={tell(AT_MUD.standsIn)} open={stands.length > 0}>
        <ul className="space-y-1">
          {STANDS_IN.map((what) => (
            <li key={what}>
              <label className="flex min-h-7 items-center gap-2 max-[699px]:min-h-11">
                <input
                  type="checkbox"
                  name={`stands-${what}`}
                  checked={stands.includes(what)}
                  onChange={(e) => setStands(what, e.currentTarget.checked)}
                />
                {tell(STANDS[what])}
              </label>
            </li>
          ))}
        </ul>
      </Fold>
      {own && <OwnMixPart job={job} wall={view.wall.index} mud={mud} batch={own} />}
      {day && <CrewPart job={job} view={view} date={date} pace={day.pace.perHour} />}
      <WeatherPart job={job} wall={view.wall.id} date={date} show={show} />
      <Section title={tell(AT_MUD.mixer)}>
        <div className="grid grid-cols-3 gap-x-3">
          <Pick
            label={tell(AT_MUD.mixedIn)}
            value={mixer.kind}
            options={MIXERS}
            onChange={(kind) => inMixer({ kind })}
          />
          <AmountField
            label={tell(AT_MUD.holdsBrimful)}
            name="mixer-holds"
            value={String(job.mud?.mixer?.holds ?? stated.mixer.holds)}
            onChange={(holds) => inMixer({ holds })}
          />
          <NumberField
            label={tell(AT_MUD.filledTo)}
            value={percent(mixer.fill)}
            least={5}
            most={100}
            onChange={(n) => inMixer({ fill: n / 100 })}
          />
        </div>
        <NumberField
          label={tell(AT_MUD.howMany)}
          value={mixers}
          most={20}
          onChange={(count) => inMixer({ count })}
        />
      </Section>
      <MeasurePart job={job} mud={mud} show={show} put={put} />
      {mud.earth && <EarthPart job={job} show={show} earth={mud.earth} />}
      <Section title={tell(AT_MUD.sand)}>
        <div className="grid grid-cols-2 gap-x-3">
          <Pick
            label={tell(AT_MUD.itLies)}
            value={sand.state}
            options={STATES}
            onChange={(state) => inSand({ state })}
          />
          <NumberField
            label={tell(AT_MUD.bulksBy)}
            value={percent(sand.bulking)}
            least={0}
            most={60}
            onChange={(n) => inSand({ bulking: n / 100 })}
          />
        </div>
      </Section>
      <Fold title={tell(AT_MUD.colourAndMore)} open={colour !== null || admixture !== null}>
        <div className="grid grid-cols-2 gap-x-3">
          <NameField
            label={tell(AT_MUD.colour)}
            value={colour?.name ?? ''}
            onChange={(name) => put('colour', { share: colour?.share ?? 0.03, name })}
          />
          <NumberField
            label={tell(AT_MUD.colourShare)}
            value={percent(colour?.share ?? 0)}
            least={1}
            most={10}
            onChange={(n) => put('colour', { name: colour?.name ?? tell(AT_MUD.pigment), share: n / 100 })}
          />
          <NameField
            label={tell(AT_MUD.admixture)}
            value={admixture?.name ?? ''}
            onChange={(name) => put('admixture', { perKg: '2 ml', ...job.mud?.admixture, name })}
          />
          <AmountField
            label={tell(AT_MUD.admixtureDose)}
            name="admixture-dose"
            value={String(job.mud?.admixture?.perKg ?? '')}
            onChange={(perKg) =>
              put('admixture', { name: admixture?.name ?? tell(AT_MUD.plasticiser), perKg })
            }
          />
        </div>
        {colour && <p className="text-caution">{tell(AT_MUD.colouredOnce)}</p>}
      </Fold>
      <RepointPart job={job} view={view} show={show} mud={mud} />
      <Figures
        title={tell(AT_MUD.haveIn)}
        figures={view.wallFigures.filter((f) => /\/mud\./.test(f.key))}
        show={show}
      />
    </>
  );
}

const percent = (part: number): number => Math.round(part * 100);
