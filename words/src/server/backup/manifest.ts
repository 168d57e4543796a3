/** What manifest says. */
export const MANIFEST_TEXT = {
  itHasNoManifest: 'it has no manifest',
  itIsNoBackupOf: 'it isn’t a Which Way backup',
  itsVersionIsAndThis: (value: string | number) =>
    `its version is ${value}, and this program reads version 1`,
  itsListNamesNoDatabase: 'its list names no database',
  itsListHasNoSums: 'its list has no sums',
};
