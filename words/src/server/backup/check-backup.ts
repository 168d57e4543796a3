/** What check backup says. */
export const CHECK_BACKUP_TEXT = {
  itHasNoManifest: 'it has no manifest',
  wouldBeLargerThanAny: (name: string | number) => `${name} would be larger than any of ours`,
  itsListIsLongerThan: 'its list is longer than any of ours',
  hasNoPlaceInIt: (basename: string | number) => `"${basename}" has no place in it`,
  isNotAsItWas: (name: string | number) => `${name} is not as it was backed up`,
  itsDatabase: (value: string | number) => `its database: ${value}`,
  itsDatabaseIsNotOne: (strange: string | number) => `its database is not one of ours: ${strange}`,
  itsDatabaseCannotBeRead: 'its database cannot be read',
  aJob: 'a job',
  aSummary: 'a summary',
  anEntryOfTheLibrary: 'an entry of the library',
  theShopsSettings: "the shop's settings",
  inItsDatabaseCannotBe: (what: string | number) => `${what} in its database cannot be read`,
  itsDatabaseIsNotOne2: 'its database is not one of ours: table migrations is missing',
  aNewerWhichWayWrote: 'a newer Which Way wrote it: update this one first',
  itsDatabaseIsNotOne3: 'its database is not one of ours: its versions are out of order',
};
