/** What from a file says. */
export const FROM_A_FILE_TEXT = {
  noTable: (name: string) => `${name} isn’t a Which Way table. Use one saved at Truth table, or a CSV.`,
  isTooLargeForA: (name: string | number) => `${name} is too large for a table: at most 1 MB.`,
  aTableAsACsv: 'A table as a CSV or JSON file',
  fromACsvOrJson: 'From a CSV or JSON file',
  isNoJsonItMay: (name: string | number) => `${name} isn’t JSON: it may have been cut short. Save it again.`,
};
