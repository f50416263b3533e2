/** The six stages in working order; their keys are 1 to 6. */
export const stages = [
  { name: 'board', path: '/board', title: 'screen.board' },
  { name: 'forecast', path: '/forecast', title: 'screen.forecast' },
  { name: 'connect', path: '/connect', title: 'screen.connect' },
  { name: 'log', path: '/log', title: 'screen.log' },
  { name: 'kit', path: '/kit', title: 'screen.kit' },
  { name: 'bench', path: '/bench', title: 'screen.bench' },
] as const;

export type StageName = (typeof stages)[number]['name'];
