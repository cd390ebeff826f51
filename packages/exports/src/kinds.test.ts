import { checkJob, checkRecord, type RecordEntry } from '@even-tally/core';
import { JSDOM } from 'jsdom';
import Papa from 'papaparse';
import { EXPORTS, exportLines, exportNamed } from './kinds.js';
import { allotments, asked, boatClub, planned, textOf } from './test/jobs.js';

const SHEETS = ['elevation', 'plan', 'pole', 'tape', 'starters', 'bars', 'lifts', 'holds', 'mixer'];

test('every kind the format promises is there once', () => {
  const kinds = EXPORTS.map((e) => e.kind);
  expect(new Set(kinds).size).toBe(kinds.length);
  const promised = [
    ...['job', 'record', 'csv:tally', 'csv:bars', 'csv:holds', 'dxf', 'ifc', 'ics'],
    ...['svg', 'png', 'pdf'].flatMap((form) => SHEETS.map((s) => `${form}:${s}`)),
  ];
  expect(kinds).toEqual(expect.arrayContaining(promised));
  expect(exportNamed('pdf:nothing')).toBeUndefined();
  expect(exportLines().map((l) => l.kind)).toEqual(kinds);
});

test('a job and a record come back as they were', () => {
  const job: unknown = JSON.parse(textOf('job', asked(boatClub)));
  expect(job).toEqual(boatClub);
  expect(checkJob(job).ok).toBe(true);
  const entry: RecordEntry = {
    kind: 'course-laid',
    id: 'e1',
    happened: '2026-05-04T08:00:00Z',
    wall: 'boat-store',
    run: 0,
    course: 1,
    by: 'R. Alder',
  };
  const record: unknown = JSON.parse(textOf('record', asked(boatClub, { record: [entry] })));
  expect(checkRecord(record)).toMatchObject({ ok: true, record: { job: boatClub.name, entries: [entry] } });
});

test('tables come back with every row, and no cell is a formula', () => {
  const rows = Papa.parse<string[]>(textOf('csv:tally', asked(boatClub)).trim()).data;
  expect(rows[0]).toEqual(['wall', 'run', 'what', 'unit', 'net', 'order', 'measure']);
  const walls = new Set(rows.slice(1).map((r) => r[0]));
  expect([...walls]).toEqual(planned(boatClub).map((p) => p.wall.name));
  const named = { ...boatClub, walls: [{ ...boatClub.walls[0], name: '=1+1' }] } as typeof boatClub;
  expect(textOf('csv:tally', asked(named))).toContain("'=1+1");
});

test('one wall or one run of it is taken where it is asked for', () => {
  const all = textOf('csv:pole', asked(boatClub));
  const one = textOf('csv:pole', asked(boatClub, { wall: 0 }));
  expect(all.startsWith(one.trimEnd())).toBe(true);
  expect(all.length).toBeGreaterThan(one.length);
  const tape = Papa.parse<string[]>(textOf('csv:tape', asked(boatClub, { wall: 0, run: 1 })).trim()).data;
  // The last mark of its first course is the end of the run.
  const end = tape.find((r) => r[2] === 'end');
  expect(Number(end?.[4])).toBeCloseTo(planned(boatClub)[0]?.wall.runs[1]?.length ?? 0, 1);
});

test.each(SHEETS)('the %s drawn as SVG is a picture that another program can read', (sheet) => {
  for (const job of [boatClub, allotments]) {
    const svg = textOf(`svg:${sheet}`, asked(job));
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    const { document } = new JSDOM(svg, { contentType: 'image/svg+xml' }).window;
    expect(document.querySelector('title')?.textContent).toContain(job.name);
    // The caution is on every page that says anything.
    expect(document.documentElement.textContent).toContain('licensed people');
  }
});

test('every unit of a face is on its elevation', () => {
  const [p] = planned(boatClub);
  if (!p) throw new Error('no wall');
  p.wall.runs.forEach((_, run) => {
    const svg = textOf('svg:elevation', asked(boatClub, { wall: 0, run }));
    const { document } = new JSDOM(svg, { contentType: 'image/svg+xml' }).window;
    const units = document.querySelectorAll('g.units > rect, g.units > polygon').length;
    const shown = p.runs.find((r) => r.index === run)?.ends;
    // Its own, and the ends of the corner units the runs beside it count.
    const ends = p.gauge.count * ((shown?.start.other ?? null) === null ? 0 : 1);
    expect(units).toBe((p.runTallies[run]?.total ?? 0) + ends);
  });
});
