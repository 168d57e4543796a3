/** What zip file says. */
export const ZIP_FILE_TEXT = {
  isMissing: (name: string | number) => `"${name}" is missing`,
  isLongerThanItSays: (fileName: string | number) => `${fileName} is longer than it says`,
  isNotAsItWas: (fileName: string | number) => `${fileName} is not as it was saved`,
  itListsTooManyFiles: 'it lists too many files',
};
