import {
  canonical,
  canonicalRecord,
  Folded,
  pagesSvg,
  placesFor,
  plan,
  recordCsvRows,
  recordRows,
  SHEET,
  SHEETS,
  tallyRows,
  titledPages,
  type CsvRow,
  type Page,
  type Said,
  type SheetKind,
} from '@even-tally/core';
import type { Export, ExportAsk, ExportLine } from './ask.js';
import { toCsv } from './csv.js';
import { jobDxf } from './dxf/jobDxf.js';
import { alarmsIcs } from './ics/alarms.js';
import { jobIfc } from './ifc/jobIfc.js';

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

const whole = (
  kind: string,
  name: Said,
  ending: string,
  media: string,
  make: (ask: ExportAsk) => string,
): Export => ({
  kind,
  name,
  of: 'job',
  ending,
  media,
  drawn: null,
  recorded: kind.includes('record'),
  make: (ask) => ({ text: make(ask) }),
});

/** A sheet for every wall and run that is asked for, one after another. */
function sheets<T>(sheet: SheetKind, ask: ExportAsk, make: (wall: number, run: number) => T[]): T[] {
  const places = placesFor(sheet, ask.job, ask.wall, ask.run);
  return places.flatMap(({ wall, run }, i) => {
    ask.done?.(i / places.length);
    return make(wall, run);
  });
}

const pagesOf = (sheet: SheetKind, ask: ExportAsk): Page[] =>
  titledPages(sheet, { ...ask, wall: 0, run: 0 }, placesFor(sheet, ask.job, ask.wall, ask.run), ask.done);

/** Rows of one wall after another, an empty one between. */
const rowsOf = (sheet: SheetKind, ask: ExportAsk): CsvRow[] =>
  sheets(sheet, ask, (wall, run) => [sheet.rows?.({ ...ask, wall, run }) ?? []]).flatMap((rows, i) =>
    i === 0 ? rows : [[''], ...rows],
  );

const drawn = (sheet: SheetKind, form: 'svg' | 'pdf' | 'png', media: string): Export => ({
  kind: `${form}:${sheet.kind}`,
  name: SHEET['saved-as']({ sheet: sheet.name, form: form.toUpperCase() }),
  of: sheet.of,
  ending: form,
  media,
  drawn: form === 'svg' ? null : form,
  recorded: sheet.recorded ?? false,
  make: (ask) => {
    const title = ask.say(SHEET['of-job']({ job: ask.job.name, sheet: sheet.name }));
    const pages = pagesOf(sheet, ask);
    return form === 'svg' ? { text: pagesSvg(pages, title) } : { pages, title };
  },
});

const table = (sheet: SheetKind): Export => ({
  kind: `csv:${sheet.kind}`,
  name: SHEET['saved-as']({ sheet: sheet.name, form: 'CSV' }),
  of: sheet.of,
  ending: 'csv',
  media: 'text/csv',
  drawn: null,
  recorded: sheet.recorded ?? false,
  make: (ask) => ({ text: toCsv(rowsOf(sheet, ask)) }),
});

/** The one list of what can be taken away. The server, the worker, the command line and the buttons read it. */
export const EXPORTS: readonly Export[] = [
  whole('job', SHEET['job-file'](), 'even-tally.json', 'application/json', ({ job }) => json(canonical(job))),
  whole('record', SHEET['record-file'](), 'record.json', 'application/json', ({ job, record }) =>
    json(
      canonicalRecord({
        format: 'even-tally/record',
        version: 1,
        job: job.name,
        entries: [...record],
      }),
    ),
  ),
  whole(
    'csv:tally',
    SHEET['saved-as']({ sheet: SHEET.tally(), form: 'CSV' }),
    'csv',
    'text/csv',
    ({ job, wall, say }) =>
      toCsv(tallyRows(plan(job, [], { advise: false, ...(wall === null ? {} : { only: [wall] }) }), say)),
  ),
  whole(
    'csv:record',
    SHEET['saved-as']({ sheet: SHEET.record(), form: 'CSV' }),
    'csv',
    'text/csv',
    ({ record, say }) => toCsv(recordCsvRows(recordRows(new Folded(record).rows()), say)),
  ),
  ...SHEETS.filter((s) => s.rows).map(table),
  ...SHEETS.map((s) => drawn(s, 'svg', 'image/svg+xml')),
  ...SHEETS.map((s) => drawn(s, 'png', 'image/png')),
  ...SHEETS.map((s) => drawn(s, 'pdf', 'application/pdf')),
  whole('dxf', SHEET['saved-as']({ sheet: SHEET.drawing(), form: 'DXF' }), 'dxf', 'image/vnd.dxf', jobDxf),
  whole('ifc', SHEET['saved-as']({ sheet: SHEET.model(), form: 'IFC' }), 'ifc', 'application/x-step', jobIfc),
  {
    ...whole(
      'ics',
      SHEET['saved-as']({ sheet: SHEET.alarms(), form: 'ICS' }),
      'ics',
      'text/calendar',
      alarmsIcs,
    ),
    recorded: true,
  },
];

export const exportNamed = (kind: string): Export | undefined => EXPORTS.find((e) => e.kind === kind);

/** The same without what makes it: for who only shows what there is. */
export const exportLines = (): ExportLine[] => EXPORTS.map(({ make: _, ...line }) => line);
