/** What a log is of: a switch, or a system of several. */
export const JOB_ABOUT = ['switch', 'system'] as const;
export type JobAbout = (typeof JOB_ABOUT)[number];
