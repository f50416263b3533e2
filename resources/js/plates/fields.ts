import type { Term } from '@/api/client';
import type { PieceKind } from '@/stores/edit';
import type { Terms } from '@/api/client';
import type { useTerms } from '@/stores/terms';
import { say } from '@/words/say';

/** How a figure is entered; `watts` takes kW, or W as some plates print it. */
export type FieldKind =
  | 'number'
  | 'watts'
  | 'celsius'
  | 'metres'
  | 'km_per_kwh'
  | 'choice'
  | 'yes_no'
  | 'languages'
  | 'names'
  | 'curve'
  | 'bands'
  | 'retrofit'
  | 'stalls'
  | 'money'
  | 'day'
  | 'text';

export interface Field {
  path: string;
  label: string;
  kind: FieldKind;
  unit?: string;
  options?: readonly (readonly [value: string, words: string])[];
  /** Cannot be left empty. */
  needed?: boolean;
  /** Its options are long. */
  isWide?: boolean;
}

export interface FieldGroup {
  title: string;
  /** Only shown, and only kept, when the object at this path is there; a switch puts it there. */
  under?: string;
  /** Goes with another group's switch. */
  hasNoSwitch?: boolean;
  /** What the switch puts there; an empty plate by default. */
  start?: Record<string, unknown>;
  fields: Field[];
}

type Options = NonNullable<Field['options']>;

/** The names of a closed set as the options of a choice. */
export const optionsOf = (terms: readonly Term[]): Options => terms.map((t) => [t.id, t.words] as const);

/** Shapes by their names, their codes beside them. */
const shapesOf = (couplers: Terms['couplers']): Options =>
  couplers.map(({ id, name, words }) => [id, say('entry.named', { name, words })] as const);

const v = (path: string, label = say('unit.volts')): Field => ({
  path,
  label,
  kind: 'number',
  unit: say('unit.volts'),
});
const a = (path: string, label = say('unit.amps')): Field => ({ path, label, kind: 'number', unit: say('unit.amps') });
const kw = (path: string, label = say('unit.kw')): Field => ({ path, label, kind: 'watts', unit: say('unit.kw') });

const celsius = (path: string, label: string): Field => ({ path, label, kind: 'celsius' });
const minutes = (path: string, label: string): Field => ({ path, label, kind: 'number', unit: say('unit.minutes') });
const yesNo = (path: string, label: string): Field => ({ path, label, kind: 'yes_no' });

/** What a rating plate may carry, below a path. */
function rating(at: string): Field[] {
  return [
    v(`${at}max_v`),
    a(`${at}continuous_a`, say('field.amps_continuous')),
    a(`${at}boost_a`, say('field.amps_boost')),
    minutes(`${at}boost_minutes`, say('field.boost_for')),
    kw(`${at}max_kw`),
    celsius(`${at}rated_at_c`, say('field.rated_at')),
    celsius(`${at}limit_c`, say('field.limit_c')),
  ];
}

/** An adapter's record, the station's own one as well. */
function adapter(at: string, couplers: Options, sockets: Options, terms: ReturnType<typeof useTerms>): FieldGroup[] {
  const under = at === '' ? {} : { under: at.slice(0, -1) };
  const options = (set: Parameters<typeof terms.all>[0]) => optionsOf(terms.all(set));
  const input = [...couplers, ...sockets];
  return [
    {
      title: at === '' ? say('field.pair') : say('field.attached'),
      ...under,
      start: {
        id: 'attached',
        name: say('field.attached_name'),
        input: 'j3400',
        output: 'ccs1',
        current: 'dc',
        plate: {},
      },
      fields: [
        ...(at === '' ? [] : [{ path: `${at}name`, label: say('editor.name'), kind: 'text' as const }]),
        {
          path: `${at}input`,
          label: say('field.charger_side'),
          kind: 'choice',
          options: input,
          needed: true,
          isWide: true,
        },
        {
          path: `${at}output`,
          label: say('field.car_side'),
          kind: 'choice',
          options: couplers,
          needed: true,
          isWide: true,
        },
        { path: `${at}current`, label: say('field.wired_for'), kind: 'choice', options: options('current') },
      ],
    },
    {
      title: at === '' ? say('field.plate') : say('field.attached_plate'),
      ...(at === '' ? {} : { under: `${at}plate` }),
      fields: rating(`${at}plate.`),
    },
    {
      title: at === '' ? say('field.translation') : say('field.attached_translation'),
      under: `${at}translates`,
      start: { from: ['plc'], to: ['can_chademo'] },
      fields: [
        { path: `${at}translates.from`, label: say('field.understands'), kind: 'languages' },
        { path: `${at}translates.to`, label: say('field.speaks_to_car'), kind: 'languages' },
      ],
    },
    {
      title: at === '' ? say('field.trust') : say('field.attached_trust'),
      ...under,
      hasNoSwitch: at !== '',
      fields: [
        {
          path: `${at}certification`,
          label: say('field.certification'),
          kind: 'choice',
          options: options('certification'),
        },
        { path: `${at}certificate_number`, label: say('field.certificate_number'), kind: 'text' },
        yesNo(`${at}maker_approved`, say('field.approval')),
        yesNo(`${at}recalled`, say('field.recalled')),
        yesNo(`${at}damaged`, say('field.damaged')),
        yesNo(`${at}test_overdue`, say('field.test_overdue')),
        yesNo(`${at}battery_ok`, say('field.battery')),
        yesNo(`${at}holds_back`, say('field.holds_back')),
        celsius(`${at}derate_c`, say('field.derate_c')),
        celsius(`${at}cutoff_c`, say('field.cutoff_c')),
        { path: `${at}attach_order`, label: say('field.goes_on'), kind: 'choice', options: options('attach_order') },
        { path: `${at}mass_g`, label: say('field.mass'), kind: 'number', unit: say('unit.grams') },
        yesNo(`${at}theft_lock`, say('field.theft_lock')),
        { path: `${at}firmware`, label: say('field.firmware'), kind: 'text' },
        { path: `${at}firmware_on`, label: say('field.firmware_on'), kind: 'day' },
        { path: `${at}price`, label: say('field.paid'), kind: 'text' },
        ...(at === ''
          ? [
              { path: 'purchased_on', label: say('field.purchased_on'), kind: 'day' as const },
              { path: 'kept_in', label: say('field.kept_in'), kind: 'text' as const },
              { path: 'lent_to', label: say('field.lent_to'), kind: 'text' as const },
              { path: 'charged_on', label: say('field.charged_on'), kind: 'day' as const },
            ]
          : []),
      ],
    },
  ];
}

/** What was answered about an adapter before it was bought. */
const VETTING = [
  ['label_names_both', 'field.vet_label'],
  ['plate_said', 'field.vet_plate'],
  ['certified_mark', 'field.vet_certified'],
  ['maker_accepts', 'field.vet_maker'],
  ['lever_blocked', 'field.vet_lever'],
  ['heat_cut_off', 'field.vet_heat'],
  ['order_given', 'field.vet_order'],
  ['recall_looked_at', 'field.vet_recall'],
  ['seller_answers', 'field.vet_seller'],
] as const;

function vetting(): FieldGroup {
  const notSaid = ['not_said', say('field.vet_not_said')] as const;
  const answers = [['yes', say('entry.yes')], ['no', say('entry.no')], notSaid] as const;
  const sold = [
    ['ac', say('field.vet_ac')],
    ['dc', say('field.vet_dc')],
    ['any_car', say('field.vet_any')],
    notSaid,
  ] as const;
  return {
    title: say('field.vetting'),
    under: 'vetting',
    fields: [
      ...VETTING.map(([key, label]): Field => ({
        path: `vetting.${key}`,
        label: say(label),
        kind: 'choice',
        options: answers,
      })),
      { path: 'vetting.sold_for', label: say('field.vet_sold_for'), kind: 'choice', options: sold },
    ],
  };
}

function inlet(i: number, couplers: Options, corners: Options): FieldGroup[] {
  const at = `inlets.${i}`;
  return [
    {
      title: say('field.inlet', { n: i + 1 }),
      fields: [
        {
          path: `${at}.coupler`,
          label: say('field.shape'),
          kind: 'choice',
          options: couplers,
          needed: true,
          isWide: true,
        },
        { path: `${at}.port`, label: say('field.corner'), kind: 'choice', options: corners },
      ],
    },
    {
      title: say('field.dc_behind', { n: i + 1 }),
      under: `${at}.dc`,
      fields: [
        v(`${at}.dc.max_v`),
        a(`${at}.dc.max_a`),
        kw(`${at}.dc.max_kw`),
        { path: `${at}.dc.signalling`, label: say('field.speaks'), kind: 'languages' },
        { path: `${at}.dc.split_pack`, label: say('field.splits'), kind: 'yes_no' },
        { path: `${at}.dc.retrofit`, label: say('field.retrofit'), kind: 'retrofit' },
      ],
    },
    {
      title: say('field.step_up_behind', { n: i + 1 }),
      under: `${at}.dc.boost_converter`,
      fields: [
        v(`${at}.dc.boost_converter.input_v`, say('field.volts_in')),
        a(`${at}.dc.boost_converter.max_input_a`, say('field.amps_in')),
        kw(`${at}.dc.boost_converter.max_kw`),
        { path: `${at}.dc.boost_converter.efficiency`, label: say('field.efficiency'), kind: 'number' },
      ],
    },
    {
      title: say('field.charger_behind', { n: i + 1 }),
      under: `${at}.ac`,
      fields: [
        v(`${at}.ac.min_v`, say('field.volts_from')),
        v(`${at}.ac.max_v`, say('field.volts_to')),
        a(`${at}.ac.max_a`),
        kw(`${at}.ac.max_kw`),
        { path: `${at}.ac.phases`, label: say('field.phases'), kind: 'number' },
      ],
    },
  ];
}

/** The fields of a plate, in the order of its print. */
export function fieldsOf(
  kind: PieceKind,
  inlets: number,
  currency: string,
  terms: ReturnType<typeof useTerms>,
): FieldGroup[] {
  const couplers = shapesOf(terms.known().couplers);
  const sockets = shapesOf(terms.known().sockets);
  const currents = optionsOf(terms.all('current'));
  switch (kind) {
    case 'vehicles':
      return [
        {
          title: say('field.pack'),
          fields: [
            { path: 'pack.usable_kwh', label: say('field.usable'), kind: 'number', unit: say('unit.kwh') },
            { path: 'pack.nominal_v', label: say('field.nominal_v'), kind: 'number', unit: say('unit.volts') },
            {
              path: 'pack.class',
              label: say('field.volt_class'),
              kind: 'choice',
              options: ['350', '400', '650', '800'].map((v) => [v, say('field.class_of', { volts: v })]),
            },
            { path: 'pack.heater_kw', label: say('field.heater'), kind: 'watts', unit: say('unit.kw') },
            {
              path: 'pack.voltage_by_soc',
              label: say('field.volts_by_charge'),
              kind: 'curve',
              unit: say('unit.soc_volts'),
            },
            { path: 'charge_curve_kw', label: say('field.kw_by_charge'), kind: 'curve', unit: say('unit.soc_kw') },
            { path: 'km_per_kwh', label: say('field.range'), kind: 'km_per_kwh' },
            { path: 'programmes', label: say('field.admitted_by'), kind: 'names' },
          ],
        },
        ...Array.from({ length: inlets }, (_, i) => inlet(i, couplers, optionsOf(terms.all('port')))).flat(),
      ];
    case 'adapters':
    case 'wishes':
      return [...adapter('', couplers, sockets, terms), vetting()];
    case 'outlets':
      return [
        {
          title: say('field.connector'),
          fields: [
            {
              path: 'coupler',
              label: say('field.shape'),
              kind: 'choice',
              options: [...couplers, ...sockets],
              needed: true,
              isWide: true,
            },
            { path: 'current', label: say('field.gives'), kind: 'choice', options: currents, needed: true },
            { path: 'signalling', label: say('field.speaks'), kind: 'languages' },
          ],
        },
        {
          title: say('field.data_plate'),
          fields: [
            v('min_v', say('field.volts_from')),
            v('max_v', say('field.volts_to')),
            a('max_a'),
            kw('max_kw'),
            kw('sticker_kw', say('field.sticker')),
          ],
        },
        {
          title: say('field.supply'),
          under: 'supply',
          fields: [
            v('supply.volts'),
            a('supply.amps', say('field.amps_continuous')),
            { path: 'supply.phases', label: say('field.phases'), kind: 'number' },
          ],
        },
        {
          title: say('field.cable'),
          under: 'cable',
          fields: [
            { path: 'cable.length_m', label: say('field.length'), kind: 'metres' },
            yesNo('cable.cooled', say('field.cooled')),
            ...rating('cable.'),
            a('cable.dry_a', say('field.dry_a')),
            yesNo('cable.cooling_failed', say('field.cooling_failed')),
            { path: 'cable.ageing', label: say('field.rating_left'), kind: 'number' },
          ],
        },
        {
          title: say('field.cabinet'),
          under: 'cabinet',
          fields: [
            kw('cabinet.kw'),
            {
              path: 'cabinet.policy',
              label: say('field.shares'),
              kind: 'choice',
              options: optionsOf(terms.all('sharing')),
            },
            kw('cabinet.module_kw', say('field.module')),
            { path: 'cabinet.partner_active', label: say('field.neighbour_charges'), kind: 'yes_no' },
            kw('cabinet.partner_kw', say('field.neighbour_takes')),
          ],
        },
        ...adapter('attached_adapter.', couplers, sockets, terms),
        {
          title: say('field.access'),
          fields: [
            { path: 'address', label: say('field.address'), kind: 'text' },
            {
              path: 'access.kind',
              label: say('field.who_may_start'),
              kind: 'choice',
              options: optionsOf(terms.all('access')),
            },
            { path: 'access.network', label: say('field.network'), kind: 'text' },
            { path: 'access.makes', label: say('field.admitted'), kind: 'names' },
            { path: 'extension', label: say('field.extension'), kind: 'yes_no' },
            { path: 'known_fault', label: say('field.known_fault'), kind: 'text' },
            { path: 'stalls', label: say('field.stalls'), kind: 'stalls' },
          ],
        },
        {
          title: say('field.price'),
          under: 'tariff',
          start: { currency },
          fields: [
            { path: 'tariff.currency', label: say('field.currency'), kind: 'text', needed: true },
            { path: 'tariff.per_kwh', label: say('field.for_a_kwh'), kind: 'money' },
            { path: 'tariff.per_minute', label: say('field.for_a_minute'), kind: 'money' },
            { path: 'tariff.session_fee', label: say('field.for_a_session'), kind: 'money' },
            { path: 'tariff.idle_per_minute', label: say('field.idle_minute'), kind: 'money' },
            {
              path: 'tariff.idle_grace_minutes',
              label: say('field.idle_after'),
              kind: 'number',
              unit: say('unit.minutes'),
            },
            { path: 'tariff.minute_bands', label: say('field.minute_bands'), kind: 'bands' },
          ],
        },
        {
          title: say('field.membership'),
          under: 'tariff.membership',
          fields: [
            { path: 'tariff.membership.monthly_fee', label: say('field.a_month'), kind: 'money', needed: true },
            { path: 'tariff.membership.per_kwh', label: say('field.for_a_kwh'), kind: 'money', needed: true },
          ],
        },
      ];
    default:
      return [];
  }
}
