/** What is known of one stall, and what it is called. */
export const STALL_COLUMNS = {
  label: 'stalls.label',
  evse_id: 'stalls.evse_id',
  cabinet: 'stalls.cabinet',
  fault: 'stalls.fault',
} as const;
