import type { glossary } from './en.glossary';

/** Terms that the glossary explains: each has a name and a text below it. */
export type GlossaryTerm = {
  [Code in keyof typeof glossary]: Code extends `glossary.${infer Term}_what` ? Term : never;
}[keyof typeof glossary];

/** What each gate of the ladder asks about. */
export const OF_GATE: Record<string, GlossaryTerm> = {
  shape: 'coupler',
  current: 'ac_dc',
  signalling: 'protocol',
  voltage: 'voltage',
  access: 'access',
  adapter: 'certification',
  reach: 'reach',
};

/** What limits a forecast, where its name needs a word more. */
export const OF_BINDING: Record<string, GlossaryTerm> = {
  vehicle_curve: 'charge_curve',
  onboard_charger: 'onboard_charger',
  station_power: 'advertised_power',
  sharing: 'power_sharing',
  cable_current: 'continuous_rating',
  adapter_current: 'continuous_rating',
  converter_power: 'step_up',
  converter_current: 'step_up',
  ramp: 'ramp_up',
  handshake: 'handshake',
};

/** What a field of a plate is about, by the end of its path. */
export const OF_FIELD: Record<string, GlossaryTerm> = {
  'plate.continuous_a': 'continuous_rating',
  'plate.boost_a': 'boost_rating',
  certification: 'certification',
  recalled: 'recall',
  attach_order: 'attach_order',
  'dc.split_pack': 'split_pack',
  signalling: 'protocol',
  sticker_kw: 'advertised_power',
  'access.kind': 'access',
  'boost_converter.max_kw': 'step_up',
  charge_curve_kw: 'charge_curve',
};
