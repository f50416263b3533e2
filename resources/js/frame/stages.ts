/** The six stages in working order; their keys are 1 to 6. */
export const stages = [
  { name: 'board', path: '/board', title: 'Board' },
  { name: 'forecast', path: '/forecast', title: 'Forecast' },
  { name: 'connect', path: '/connect', title: 'Connect' },
  { name: 'log', path: '/log', title: 'Log' },
  { name: 'kit', path: '/kit', title: 'Kit' },
  { name: 'bench', path: '/bench', title: 'Bench' },
] as const;

export type StageName = (typeof stages)[number]['name'];
