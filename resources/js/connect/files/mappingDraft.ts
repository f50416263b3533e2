import type { Import, ImportLook, Mapping } from '@/api/client';

/** What a driver says of a column; the empty field is left out. */
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
}

/** The mapping of a file as it is told column by column. */
export function draftOf(file: Import, look: ImportLook): MappingDraft {
  const mapping = file.mapping;
  return {
    delimiter: mapping?.delimiter ?? look.delimiter,
    decimal: mapping?.decimal ?? '.',
    encoding: mapping?.encoding ?? 'utf-8',
    zone: mapping?.time?.zone,
    clockUnit: mapping?.time?.unit,
    columns: look.headers.map(({ header, samples }) => {
      const told = mapping?.columns[header];
      const isClock = mapping?.time?.column === header;
      return {
        header,
        samples,
        field: isClock ? 'time' : (told?.field ?? ''),
        unit: told?.unit ?? '',
        isTurned: told?.sign === -1,
        format: isClock ? (mapping?.time?.format ?? '') : '',
      };
    }),
  };
}

export function mappingOf(draft: MappingDraft): Mapping {
  const clock = draft.columns.find((c) => c.field === 'time');
  return {
    delimiter: draft.delimiter,
    decimal: draft.decimal,
    encoding: draft.encoding,
    columns: Object.fromEntries(
      draft.columns
        .filter((c) => c.field !== '' && c.field !== 'time')
        .map((c) => [
          c.header,
          { field: c.field, ...(c.unit === '' ? {} : { unit: c.unit }), ...(c.isTurned ? { sign: -1 as const } : {}) },
        ]),
    ),
    ...(clock === undefined
      ? {}
      : {
          time: {
            column: clock.header,
            ...(clock.format === '' ? {} : { format: clock.format }),
            ...(draft.zone === undefined ? {} : { zone: draft.zone }),
            ...(draft.clockUnit === undefined || clock.format !== 'U' ? {} : { unit: draft.clockUnit }),
          },
        }),
  };
}
