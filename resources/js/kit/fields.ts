import type { PieceKind } from '@/stores/edit';

/** How a figure is entered; `watts` takes kW, or W as some plates print it. */
export type FieldKind =
  'number' | 'watts' | 'choice' | 'yes_no' | 'languages' | 'names' | 'curve' | 'bands' | 'retrofit' | 'text';

export interface Field {
  path: string;
  label: string;
  kind: FieldKind;
  unit?: string;
  options?: readonly (readonly [value: string, words: string])[];
  /** Cannot be left empty. */
  needed?: boolean;
}

export interface FieldGroup {
  title: string;
  /** Only shown, and only kept, when the object at this path is there; a switch puts it there. */
  under?: string;
  /** What the switch puts there; an empty plate by default. */
  start?: Record<string, unknown>;
  fields: Field[];
}

export const couplers = [
  ['type1', 'type1'],
  ['type2', 'type2'],
  ['j3400', 'j3400'],
  ['ccs1', 'ccs1'],
  ['ccs2', 'ccs2'],
  ['chademo', 'chademo'],
  ['gbt_ac', 'gbt AC'],
  ['gbt_dc', 'gbt DC'],
] as const;

const sockets = [
  ['socket:5-15', 'socket 5-15'],
  ['socket:5-20', 'socket 5-20'],
  ['socket:tt-30', 'socket TT-30'],
  ['socket:6-20', 'socket 6-20'],
  ['socket:14-30', 'socket 14-30'],
  ['socket:14-50', 'socket 14-50'],
  ['socket:household-230', 'household 230 V'],
  ['socket:blue-16', 'blue 16 A'],
  ['socket:blue-32', 'blue 32 A'],
  ['socket:red-16', 'red 16 A'],
  ['socket:red-32', 'red 32 A'],
] as const;

export const languages = [
  ['pwm', 'AC control pilot'],
  ['plc', 'power-line communication'],
  ['can_legacy', 'old closed-network language'],
  ['can_chademo', 'CHAdeMO'],
  ['can_gbt', 'GB/T'],
] as const;

export const corners = [
  ['front-left', 'front left'],
  ['front-centre', 'front centre'],
  ['front-right', 'front right'],
  ['rear-left', 'rear left'],
  ['rear-centre', 'rear centre'],
  ['rear-right', 'rear right'],
] as const;

export const accessKinds = [
  ['open', 'open to everyone'],
  ['account', 'with an account'],
  ['makes', 'admitted makes only'],
  ['owners_only', 'owners only'],
] as const;

export const certifications = [
  ['certified', 'certified by a laboratory'],
  ['claims', 'claims the standard'],
  ['none', 'neither'],
] as const;

export const sharing = [
  ['halves', 'in halves'],
  ['first_come', 'first come'],
  ['modules', 'in modules'],
] as const;

const currents = [
  ['dc', 'DC'],
  ['ac', 'AC'],
] as const;

const v = (path: string, label = 'V'): Field => ({ path, label, kind: 'number', unit: 'V' });
const a = (path: string, label = 'A'): Field => ({ path, label, kind: 'number', unit: 'A' });
const kw = (path: string, label = 'kW'): Field => ({ path, label, kind: 'watts', unit: 'kW' });

function inlet(i: number): FieldGroup[] {
  const at = `inlets.${i}`;
  return [
    {
      title: `Inlet ${i + 1}`,
      fields: [
        { path: `${at}.coupler`, label: 'shape', kind: 'choice', options: couplers, needed: true },
        { path: `${at}.port`, label: 'corner', kind: 'choice', options: corners },
      ],
    },
    {
      title: `DC behind inlet ${i + 1}`,
      under: `${at}.dc`,
      fields: [
        v(`${at}.dc.max_v`),
        a(`${at}.dc.max_a`),
        kw(`${at}.dc.max_kw`),
        { path: `${at}.dc.signalling`, label: 'speaks', kind: 'languages' },
        { path: `${at}.dc.split_pack`, label: 'splits its pack', kind: 'yes_no' },
        { path: `${at}.dc.retrofit`, label: 'retrofit', kind: 'retrofit' },
      ],
    },
    {
      title: `Step-up behind inlet ${i + 1}`,
      under: `${at}.dc.boost_converter`,
      fields: [
        v(`${at}.dc.boost_converter.input_v`, 'V in'),
        a(`${at}.dc.boost_converter.max_input_a`, 'A in'),
        kw(`${at}.dc.boost_converter.max_kw`),
      ],
    },
    {
      title: `Onboard charger behind inlet ${i + 1}`,
      under: `${at}.ac`,
      fields: [
        v(`${at}.ac.min_v`, 'V from'),
        v(`${at}.ac.max_v`, 'V to'),
        a(`${at}.ac.max_a`),
        kw(`${at}.ac.max_kw`),
        { path: `${at}.ac.phases`, label: 'phases', kind: 'number' },
      ],
    },
  ];
}

/** The fields of a plate, in the order of its print. */
export function fieldsOf(kind: PieceKind, inlets: number, currency: string): FieldGroup[] {
  switch (kind) {
    case 'vehicles':
      return [
        {
          title: 'Pack',
          fields: [
            { path: 'pack.usable_kwh', label: 'usable', kind: 'number', unit: 'kWh' },
            { path: 'pack.voltage_by_soc', label: 'volts by charge', kind: 'curve', unit: '% : V' },
            { path: 'charge_curve_kw', label: 'kW by charge', kind: 'curve', unit: '% : kW' },
            { path: 'km_per_kwh', label: 'range', kind: 'number', unit: 'km/kWh' },
            { path: 'programmes', label: 'admitted by (networks, or "none")', kind: 'names' },
          ],
        },
        ...Array.from({ length: inlets }, (_, i) => inlet(i)).flat(),
      ];
    case 'adapters':
      return [
        {
          title: 'Pair',
          fields: [
            { path: 'input', label: 'charger side', kind: 'choice', options: [...couplers, ...sockets], needed: true },
            { path: 'output', label: 'car side', kind: 'choice', options: couplers, needed: true },
            { path: 'current', label: 'wired for', kind: 'choice', options: currents },
          ],
        },
        {
          title: 'Plate',
          fields: [
            v('plate.max_v'),
            a('plate.continuous_a', 'A continuous'),
            a('plate.boost_a', 'A boost'),
            { path: 'plate.boost_minutes', label: 'boost for', kind: 'number', unit: 'min' },
            kw('plate.max_kw'),
          ],
        },
        {
          title: 'Translation',
          under: 'translates',
          start: { from: ['plc'], to: ['can_chademo'] },
          fields: [
            { path: 'translates.from', label: 'understands', kind: 'languages' },
            { path: 'translates.to', label: 'speaks to the car', kind: 'languages' },
          ],
        },
        {
          title: 'Trust',
          fields: [
            { path: 'certification', label: 'certification', kind: 'choice', options: certifications },
            { path: 'maker_approved', label: "car maker's approval", kind: 'yes_no' },
            { path: 'recalled', label: 'recalled', kind: 'yes_no' },
            { path: 'damaged', label: 'damaged', kind: 'yes_no' },
            { path: 'battery_ok', label: 'own battery charged', kind: 'yes_no' },
            {
              path: 'attach_order',
              label: 'goes on',
              kind: 'choice',
              options: [
                ['handle-first', 'connector first'],
                ['car-first', 'car first'],
              ],
            },
          ],
        },
      ];
    case 'outlets':
      return [
        {
          title: 'Connector',
          fields: [
            { path: 'coupler', label: 'shape', kind: 'choice', options: [...couplers, ...sockets], needed: true },
            { path: 'current', label: 'gives', kind: 'choice', options: currents, needed: true },
            { path: 'signalling', label: 'speaks', kind: 'languages' },
          ],
        },
        {
          title: 'Data plate',
          fields: [
            v('min_v', 'V from'),
            v('max_v', 'V to'),
            a('max_a'),
            kw('max_kw'),
            kw('sticker_kw', 'on the sticker'),
          ],
        },
        {
          title: 'AC supply',
          under: 'supply',
          fields: [
            v('supply.volts'),
            a('supply.amps', 'A continuous'),
            { path: 'supply.phases', label: 'phases', kind: 'number' },
          ],
        },
        {
          title: 'Cable',
          under: 'cable',
          fields: [
            { path: 'cable.length_m', label: 'length', kind: 'number', unit: 'm' },
            { path: 'cable.cooled', label: 'cooled', kind: 'yes_no' },
            a('cable.continuous_a', 'A continuous'),
            a('cable.boost_a', 'A boost'),
            { path: 'cable.boost_minutes', label: 'boost for', kind: 'number', unit: 'min' },
            { path: 'cable.cooling_failed', label: 'cooling has failed', kind: 'yes_no' },
            { path: 'cable.ageing', label: 'rating left (1 is new)', kind: 'number' },
          ],
        },
        {
          title: 'Cabinet',
          under: 'cabinet',
          fields: [
            kw('cabinet.kw'),
            {
              path: 'cabinet.policy',
              label: 'shares',
              kind: 'choice',
              options: sharing,
            },
            kw('cabinet.module_kw', 'module'),
            { path: 'cabinet.partner_active', label: 'neighbour charges', kind: 'yes_no' },
            kw('cabinet.partner_kw', 'neighbour takes'),
          ],
        },
        {
          title: "The station's own adapter",
          under: 'attached_adapter',
          start: {
            id: 'attached',
            name: "the station's own adapter",
            input: 'j3400',
            output: 'ccs1',
            current: 'dc',
            plate: {},
          },
          fields: [
            { path: 'attached_adapter.input', label: 'charger side', kind: 'choice', options: couplers, needed: true },
            { path: 'attached_adapter.output', label: 'car side', kind: 'choice', options: couplers, needed: true },
            { path: 'attached_adapter.current', label: 'wired for', kind: 'choice', options: currents },
            v('attached_adapter.plate.max_v'),
            a('attached_adapter.plate.continuous_a', 'A continuous'),
            { path: 'attached_adapter.certification', label: 'certification', kind: 'choice', options: certifications },
            { path: 'attached_adapter.recalled', label: 'recalled', kind: 'yes_no' },
            { path: 'attached_adapter.damaged', label: 'damaged', kind: 'yes_no' },
          ],
        },
        {
          title: 'Access',
          fields: [
            { path: 'access.kind', label: 'who may start', kind: 'choice', options: accessKinds },
            { path: 'access.makes', label: 'admitted', kind: 'names' },
            { path: 'extension', label: 'extension lead in use', kind: 'yes_no' },
            { path: 'known_fault', label: 'known fault of this stall', kind: 'text' },
          ],
        },
        {
          title: 'Price',
          under: 'tariff',
          start: { currency },
          fields: [
            { path: 'tariff.currency', label: 'currency (USD, EUR, …)', kind: 'text', needed: true },
            { path: 'tariff.per_kwh', label: 'for a kWh', kind: 'text' },
            { path: 'tariff.per_minute', label: 'for a minute', kind: 'text' },
            { path: 'tariff.session_fee', label: 'for a session', kind: 'text' },
            { path: 'tariff.idle_per_minute', label: 'idle, for a minute', kind: 'text' },
            { path: 'tariff.idle_grace_minutes', label: 'idle after', kind: 'number', unit: 'min' },
            { path: 'tariff.minute_bands', label: 'for a minute, by power (from kW : price)', kind: 'bands' },
          ],
        },
        {
          title: 'Membership',
          under: 'tariff.membership',
          fields: [
            { path: 'tariff.membership.monthly_fee', label: 'a month', kind: 'text', needed: true },
            { path: 'tariff.membership.per_kwh', label: 'for a kWh', kind: 'text', needed: true },
          ],
        },
      ];
    default:
      return [];
  }
}
