import type { Import, ImportLook, Mapping } from '@/api/client';

/** What a driver chose for a column; the empty field leaves it out. */
export interface ColumnDraft {
  header: string;
  samples: string[];
  field: string;
  unit: string;
  isTurned: boolean;
  /** How a clock is written; empty for ISO 8601 and h:mm:ss. */
  format: string;
}

export interface MappingDraft {
  delimiter: string;
  decimal: Mapping['decimal'];
  encoding: Mapping['encoding'];
  zone: string | undefined;
  /** Of a clock that counts since 1970. */
  clockUnit: 's' | 'ms' | undefined;
  columns: ColumnDraft[];
  /** What stands around the table, and in cells without a value: kept as it is. */
  around: Pick<Mapping, 'thousands' | 'skip_lines' | 'units_row' | 'empty'>;
}

/** What the column of the hour holds, where the date stands in one of its own. */
export const HOUR = 'hour';

/** The mapping of a file as it is told column by column. */
export function draftOf(file: Import, look: ImportLook): MappingDraft {
  const mapping = file.mapping ?? look.begun;
  return {
    delimiter: mapping?.delimiter ?? look.delimiter,
    decimal: mapping?.decimal ?? '.',
    encoding: mapping?.encoding ?? 'utf-8',
    zone: mapping?.time?.zone,
    clockUnit: mapping?.time?.unit,
    columns: look.headers.map(({ header, samples }) => {
      const told = mapping?.columns[header];
      const isClock = (mapping?.time?.column ?? mapping?.time?.columns?.[0]) === header;
      const isHour = mapping?.time?.columns?.[1] === header;
      return {
        header,
        samples,
        field: isClock ? 'time' : isHour ? HOUR : (told?.field ?? ''),
        unit: told?.unit ?? '',
        isTurned: told?.sign === -1,
        format: isClock ? (mapping?.time?.format ?? '') : '',
      };
    }),
    around: Object.fromEntries(
      Object.entries(mapping ?? {}).filter(([key]) => ['thousands', 'skip_lines', 'units_row', 'empty'].includes(key)),
    ),
  };
}

export function mappingOf(draft: MappingDraft): Mapping {
  const clock = draft.columns.find((c) => c.field === 'time');
  const hour = draft.columns.find((c) => c.field === HOUR);
  return {
    delimiter: draft.delimiter,
    decimal: draft.decimal,
    encoding: draft.encoding,
    columns: Object.fromEntries(
      draft.columns
        .filter((c) => !['', 'time', HOUR].includes(c.field))
        .map((c) => [
          c.header,
          { field: c.field, ...(c.unit === '' ? {} : { unit: c.unit }), ...(c.isTurned ? { sign: -1 as const } : {}) },
        ]),
    ),
    ...draft.around,
    ...(clock === undefined
      ? {}
      : {
          time: {
            ...(hour === undefined ? { column: clock.header } : { columns: [clock.header, hour.header] }),
            ...(clock.format === '' ? {} : { format: clock.format }),
            ...(draft.zone === undefined ? {} : { zone: draft.zone }),
            ...(draft.clockUnit === undefined || clock.format !== 'U' ? {} : { unit: draft.clockUnit }),
          },
        }),
  };
}
