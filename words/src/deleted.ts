const jobs = (count: number): string => (count === 1 ? 'job' : `${count} jobs`);

/** Jobs of a file that were deleted here. */
export const DELETED_WORDS = {
  list: 'Deleted here before',
  about: (count: number) =>
    `You deleted ${count === 1 ? 'this job' : `these ${jobs(count)}`} on this bench. ${count === 1 ? 'It stays' : 'They stay'} deleted unless you say otherwise.`,
  one: (title: string, when: string) => `${title}, deleted ${when.slice(0, 10)}`,
  again: (count: number) => `Import the deleted ${jobs(count)} again`,
};

/** What is said before a job is deleted. */
export const DELETE_WORDS = {
  about:
    "Its readings, notes and photos are deleted from this server, and from other browsers the next time they connect. You can't undo this.",
  backups: 'Backups you made before still contain it. Delete those files yourself if it must be gone.',
  instead: 'To hide it instead, archive it.',
};
