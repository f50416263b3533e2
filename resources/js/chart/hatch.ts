/** Hatchings distinguish the limits of a chain without colour; limits that never occur together may share one. */
const HATCH: Record<string, string> = {
  vehicle_curve: 'plain',
  onboard_charger: 'plain',
  cold_pack: 'dots',
  vehicle_current: 'level',
  station_current: 'rise',
  station_power: 'fall',
  sharing: 'cross',
  cable_current: 'upright',
  adapter_current: 'dense',
  adapter_power: 'level',
  converter_power: 'fall',
  converter_current: 'rise',
  supply_current: 'upright',
  cooling_failed: 'rise',
  derated_stall: 'cross',
  handshake: 'dots',
  settling: 'level',
  unexplained: 'plain',
};

export const hatchOf = (binding: string): string => HATCH[binding] ?? 'plain';
