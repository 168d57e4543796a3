/** The steps of a job's route, in the order in which the job is done. */
export const STEPS = ['intake', 'safe', 'tag', 'map', 'table', 'verify', 'match', 'refit'] as const;
export type RouteStep = (typeof STEPS)[number];
