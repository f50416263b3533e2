import type { PieceKind } from '@/stores/edit';

/** The figures on an adapter's label, or on a charging post: the first to read. */
export const LABEL_FIELDS: Partial<Record<PieceKind, readonly string[]>> = {
  adapters: [
    'input',
    'output',
    'current',
    'plate.max_v',
    'plate.continuous_a',
    'plate.boost_a',
    'plate.boost_minutes',
    'certification',
    'recalled',
    'damaged',
  ],
  outlets: [
    'coupler',
    'current',
    'signalling',
    'min_v',
    'max_v',
    'max_a',
    'max_kw',
    'sticker_kw',
    'supply.volts',
    'supply.amps',
    'supply.phases',
    'access.kind',
    'access.network',
    'stalls',
  ],
};
